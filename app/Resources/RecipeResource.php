<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Prediction;
use KnottyPrism\Core\Medium\Stack\StepPrediction;
use KnottyPrism\Core\Photo\Reading\Spot;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Recipe;

/** Spots and recipes as the screen and the card show them: words beside every figure, strata beside every colour. */
final class RecipeResource
{
    /** Standard deviation of L* inside a ring from which one colour no longer stands for it. */
    private const MIXED_RING = 7.0;

    /** @return array<string, mixed> */
    public static function spot(Spot $spot, ValueScale $scale = new ValueScale): array
    {
        return [...self::reading($spot->lab, $scale), 'spread' => Figures::difference($spot->spread), 'mixed' => $spot->spread > self::MIXED_RING];
    }

    /** @return array<string, mixed> */
    public static function reading(Lab $lab, ValueScale $scale = new ValueScale): array
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

    /** @return array<string, mixed> */
    public static function recipe(Recipe $recipe): array
    {
        return [
            'label' => $recipe->label->value,
            'stack' => $recipe->stack->text(),
            ...Figures::result($recipe),
            'closenessWords' => $recipe->comparison->words(),
            'steadinessWords' => self::steadiness($recipe->prediction->steadiness),
            'toothWords' => self::tooth($recipe->prediction->toothUsed()),
            'passes' => self::passes($recipe->prediction),
            'cautions' => Figures::cautions($recipe),
        ];
    }

    /** @return array<string, mixed> */
    public static function nearest(Recipe $recipe): array
    {
        return ['pencil' => self::pencil($recipe->stack->pencils()[0]), 'deltaE00' => Figures::difference($recipe->comparison->deltaE00), 'closenessWords' => $recipe->comparison->words()];
    }

    /** @return list<array<string, mixed>> */
    public static function passes(Prediction $prediction): array
    {
        return array_map(static function (StepPrediction $p): array {
            $mark = $p->step instanceof Finish ? null : PressureMark::nearest($p->step->pressure);

            return [
                'finish' => $p->step instanceof Finish ? $p->step->value : null,
                'pencil' => $p->step instanceof Finish ? null : self::pencil($p->step->pencil),
                'pressure' => $p->step instanceof Finish ? null : $p->step->pressure,
                'pressureWord' => $mark?->value,
                'pressureStrokes' => $mark?->strokes(),
                ...Figures::colour($p->lab),
                'colourWords' => (new ColourReading($p->lab))->words(),
                'strata' => $p->strataHex,
                'toothUsed' => Figures::share($p->toothUsed),
            ];
        }, $prediction->steps);
    }

    /** @return array<string, mixed> */
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

    private static function steadiness(float $rms): string
    {
        return match (true) {
            $rms < 1.5 => 'very steady',
            $rms < 3.0 => 'steady',
            $rms < Caution::UNSTEADY => 'needs an even hand',
            default => 'unsteady',
        };
    }

    private static function tooth(float $used): string
    {
        return match (true) {
            $used < 0.25 => 'plenty of tooth left',
            $used < 0.55 => 'tooth left',
            $used < Caution::TOOTH_SPENT => 'little tooth left',
            default => 'tooth spent',
        };
    }
}
