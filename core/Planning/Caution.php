<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Medium\Binder;
use KnottyPrism\Core\Medium\Pass;
use KnottyPrism\Core\Medium\Prediction;
use KnottyPrism\Core\Medium\Stack;

/** Something to mind in a recipe: the step that causes it (1 the first; 0 the whole), in words, and what helps. */
final readonly class Caution
{
    /** Share of the tooth after which a next pass hardly takes. */
    public const TOOTH_SPENT = 0.85;

    /** ΔE00 from which a recipe no longer looks like its target even at arm's length. */
    public const OUT_OF_REACH = 4.0;

    /** RMS ΔE00 in an ordinary hand from which a result is a gamble. */
    public const UNSTEADY = 5.0;

    /** Grades of lightfastness that makers advise against for work that hangs in light. */
    private const FUGITIVE = ['poor', 'fugitive', 'low'];

    private function __construct(public string $code, public int $step, public string $text, public string $remedy)
    {
    }

    /** @return list<self> */
    public static function of(Stack $stack, Prediction $prediction, Comparison $comparison): array
    {
        return array_values(array_filter([
            self::toothSpent($prediction),
            self::outOfReach($comparison),
            self::unsteady($prediction),
            ...self::fugitives($stack),
            self::bloom($stack),
        ]));
    }

    private static function toothSpent(Prediction $prediction): ?self
    {
        foreach ($prediction->steps as $i => $step) {
            if ($step->toothUsed > self::TOOTH_SPENT && $i < count($prediction->steps) - 1) {
                $text = sprintf('Pass %d leaves %d %% of the tooth; what follows will hardly take.', $i + 1, round(100 * (1 - $step->toothUsed)));

                return new self('tooth spent', $i + 1, $text, 'Lay the early passes more lightly.');
            }
        }

        return null;
    }

    private static function outOfReach(Comparison $comparison): ?self
    {
        if ($comparison->deltaE00 < self::OUT_OF_REACH) {
            return null;
        }

        return new self('out of reach', 0, sprintf('The pencils at hand stop short of this colour. %s.', $comparison->words()), 'Accept the nearest, or add a pencil nearer to it.');
    }

    private static function unsteady(Prediction $prediction): ?self
    {
        if ($prediction->steadiness < self::UNSTEADY) {
            return null;
        }

        return new self('unsteady', 0, 'A slightly firmer or lighter hand changes this result much.', 'Test it on a scrap first, or take the steadiest recipe.');
    }

    /** @return list<self> */
    private static function fugitives(Stack $stack): array
    {
        $cautions = [];
        foreach ($stack->steps as $i => $step) {
            if ($step instanceof Pass && in_array(mb_strtolower((string) $step->pencil->record->lightfast), self::FUGITIVE, true)) {
                $text = sprintf('Pencil %s fades in light.', $step->pencil->record->number);
                $cautions[$step->pencil->id()] ??= new self('not lightfast', $i + 1, $text, 'For work that hangs in light use another pencil of the family.');
            }
        }

        return array_values($cautions);
    }

    private static function bloom(Stack $stack): ?self
    {
        foreach ($stack->steps as $i => $step) {
            if ($step instanceof Pass && $step->pencil->record->binder === Binder::Wax && $step->pressure > 0.9) {
                return new self('bloom', $i + 1, sprintf('Pass %d lays wax heavily; a pale haze can rise after some days.', $i + 1), 'Wipe it softly and fix the finished drawing; spray outdoors, as the label says.');
            }
        }

        return null;
    }
}
