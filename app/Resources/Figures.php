<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Prediction;
use KnottyPrism\Core\Medium\Stack\StepPrediction;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Recipe;

/** The core's figures as they are written in JSON, on the command line and over the API alike, each to a fixed precision. */
final class Figures
{
    /** @return array{hex: string, lab: array{float, float, float}, valueStep: int} */
    public static function colour(Lab $lab): array
    {
        return ['hex' => Srgb::ofXyz($lab->xyz())->hex(), 'lab' => self::lab($lab), 'valueStep' => (new ValueScale)->stepOf($lab)];
    }

    /** @return array{float, float, float} L*, a*, b* */
    public static function lab(Lab $lab): array
    {
        return [round($lab->l, 4), round($lab->a, 4), round($lab->b, 4)];
    }

    /** A ΔE00 or another difference in its unit. */
    public static function difference(float $value): float
    {
        return round($value, 3);
    }

    /** A share, 0–1. */
    public static function share(float $value): float
    {
        return round($value, 4);
    }

    /** @return list<array<string, mixed>> one entry a step, in order */
    public static function passes(Prediction $prediction): array
    {
        return array_map(static fn (StepPrediction $p): array => [
            'step' => $p->step instanceof Finish ? $p->step->value : sprintf('%s@%.2f', $p->step->pencil->id(), $p->step->pressure),
            'pencil' => $p->step instanceof Finish ? null : $p->step->pencil->id(),
            'pressure' => $p->step instanceof Finish ? null : $p->step->pressure,
            ...self::colour($p->lab),
            'toothUsed' => self::share($p->toothUsed),
        ], $prediction->steps);
    }

    /** @return array{errorOnPaper: float, deltaE00: float, valueError: float, steadiness: float, toothUsed: float, grain: float, evenness: string} */
    public static function result(Recipe $recipe): array
    {
        return [
            'errorOnPaper' => self::difference($recipe->errorOnPaper()),
            'deltaE00' => self::difference($recipe->comparison->deltaE00),
            'valueError' => self::difference($recipe->comparison->valueError),
            'steadiness' => self::difference($recipe->prediction->steadiness),
            'toothUsed' => self::share($recipe->prediction->toothUsed()),
            'grain' => self::difference($recipe->evenness->grain),
            'evenness' => $recipe->evenness->words(),
        ];
    }

    /** @return object what no swatch was there to measure, by pencil's identifier; an empty object where all was measured */
    public static function assumed(Recipe $recipe): object
    {
        $assumed = [];
        foreach ($recipe->stack->pencils() as $pencil) {
            if ($pencil->assumed !== []) {
                $assumed[$pencil->id()] = $pencil->assumed;
            }
        }

        return (object) $assumed;
    }

    /** @return array<string, mixed> a recipe as the command line writes it */
    public static function recipe(Recipe $recipe): array
    {
        return [
            'label' => $recipe->label->value,
            'stack' => $recipe->stack->text(),
            ...self::result($recipe),
            'pencils' => array_map(static fn (Pencil $p): string => $p->id(), $recipe->stack->pencils()),
            'assumed' => self::assumed($recipe),
            'passes' => self::passes($recipe->prediction),
            'cautions' => self::cautions($recipe),
        ];
    }

    /** @return list<array{code: string, step: int, text: string, remedy: string}> */
    public static function cautions(Recipe $recipe): array
    {
        return array_map(static fn (Caution $c): array => ['code' => $c->code->value, 'step' => $c->step, 'text' => $c->text, 'remedy' => $c->remedy], $recipe->cautions);
    }
}
