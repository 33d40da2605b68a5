<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart;

use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/** What a chart says of pencils, as rows of a drawer: what was not coloured in stays unsaid, and is assumed. */
final class MeasuredPencils
{
    /**
     * @param  array<string, array<string, BoxReading>>  $swatches  by pencil and kind
     * @param  array<string, string>  $names  by pencil
     * @return list<ShelfRow>
     */
    public static function rows(array $swatches, array $names): array
    {
        $rows = [];
        foreach ($swatches as $id => $kinds) {
            $slash = strrpos((string) $id, '/');
            [$line, $number] = $slash === false ? ['', (string) $id] : [substr((string) $id, 0, $slash), substr((string) $id, $slash + 1)];
            $hex = static fn (BoxKind $kind): ?string => ($kinds[$kind->value] ?? null)?->hex();
            $rows[] = ShelfRow::of(new PencilRecord($line, $number, $names[$id] ?? '', $kinds[BoxKind::Heavy->value]->hex(), light: $hex(BoxKind::Light), overBlack: $hex(BoxKind::Black)));
        }

        return $rows;
    }
}
