<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Equivalent;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/**
 * Pencils and laid sheets in tables and charts: a dab's strata beside number, name and words.
 *
 * @phpstan-import-type ChartPencilJson from \Described
 * @phpstan-import-type LineTableJson from \Described
 */
final class ChartResource
{
    /** @return ChartPencilJson */
    public static function pencil(Pencil $pencil): array
    {
        return [
            ...RecipeResource::pencil($pencil),
            'owned' => $pencil->record->owned,
            'strata' => self::strata(Swatch::Heavy->lay($pencil)),
            'words' => (new ColourReading(Swatch::Heavy->colourOf($pencil)))->words(),
        ];
    }

    /** @return array{strata: list<string>, words: string} */
    public static function sheet(Sheet $sheet): array
    {
        return ['strata' => self::strata($sheet), 'words' => (new ColourReading(Lab::ofReflectance($sheet->meanReflectance())))->words()];
    }

    /** @return value-of<LineTableJson['rows']> */
    public static function equivalent(Equivalent $row): array
    {
        return [
            'from' => self::pencil($row->of->pencil),
            'to' => self::pencil($row->portrait->pencil),
            'near' => $row->isNear(),
            'heavyDeltaE00' => Figures::difference($row->heavy),
            'lightDeltaE00' => Figures::difference($row->light),
        ];
    }

    /** @return list<string> colour of each stratum as a dab shows it, peaks first */
    public static function strata(Sheet $sheet): array
    {
        return $sheet->dab();
    }
}
