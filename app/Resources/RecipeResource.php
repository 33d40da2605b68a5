<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Reading\Spot;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/**
 * Colours and pencils as everybody sees them: words beside every figure.
 *
 * @phpstan-import-type DrawerPencilJson from \Described
 * @phpstan-import-type NearestSingleJson from \Described
 * @phpstan-import-type ReadingJson from \Described
 * @phpstan-import-type SpotJson from \Described
 */
final class RecipeResource
{
    /** Standard deviation of L* inside a ring from which one colour no longer stands for it. */
    private const MIXED_RING = 7.0;

    /** @return SpotJson */
    public static function spot(Spot $spot, ValueScale $scale = new ValueScale()): array
    {
        return [
            ...self::reading($spot->lab, $scale),
            'spread' => Figures::difference($spot->spread),
            'mixed' => $spot->spread > self::MIXED_RING,
        ];
    }

    /** @return ReadingJson */
    public static function reading(Lab $lab, ValueScale $scale = new ValueScale()): array
    {
        $reading = new ColourReading($lab, $scale);

        return [
            ...Figures::colour($lab),
            'valueStep' => $reading->valueStep,
            'words' => $reading->words(),
            'valueSteps' => $reading->scale->steps,
            'family' => $reading->family->words(),
            'strength' => $reading->strength->value,
            'temperature' => $reading->temperature->value,
            'chroma' => round($lab->chroma(), 1),
            'hueDegrees' => round($lab->hueDegrees(), 1),
        ];
    }

    /** @return NearestSingleJson the single pencil that comes nearest */
    public static function nearest(SequenceAnswer $answer): array
    {
        $comparison = $answer->outcomes[0]->comparison();

        return [
            'pencil' => self::pencil($answer->sequence->pencils()[0]),
            'deltaE00' => Figures::difference($comparison->deltaE00),
            'closenessWords' => $comparison->words(),
        ];
    }

    /** @return DrawerPencilJson */
    public static function pencil(Pencil $pencil): array
    {
        return [
            'id' => $pencil->id(),
            'line' => $pencil->record->line,
            'number' => $pencil->record->number,
            'name' => $pencil->record->name,
            'binder' => $pencil->record->binder?->value,
            'assumed' => $pencil->assumed,
        ];
    }
}
