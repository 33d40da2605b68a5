<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\NextMove;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** How best to go on with a plan at a place as it really lies: the next pass as planned, pressed otherwise, left out, or after lifting. */
final class FindWayOn
{
    /** What another way must win over the plan's, ΔE00: an ordinary hand errs by as much anyhow. */
    private const WORTH = 1.0;

    /** An ordinary hand comes no nearer to a plan, ΔE00. */
    private const AS_PLANNED = 2.5;

    /** Every pressing of an eraser must win so much more. */
    private const LIFTING = 0.6;

    private const MOST_LIFTINGS = 2;

    /**
     * @param  Lab  $expected  what the plan has there by now: a finished place that came out so is left alone, whatever else could be done
     * @param  Stack  $toCome  the passes of the plan that are not laid yet
     * @param  list<Pencil>  $pencils  available
     * @param  list<string>  $beside  identifiers of those that lie beside the drawing
     */
    public static function from(AsItLies $place, Lab $target, Lab $expected, Stack $toCome, array $pencils, array $beside): WayOn
    {
        $planned = $toCome->steps[0] ?? null;
        if ($planned === null) {
            $move =
                $place->found->deltaE00($expected) < self::AS_PLANNED
                    ? new NextMove(null, 0, $place->found, $place->found, $target, $place->sheet->toothUsed(), 'it turned out as planned.')
                    : FindNextMove::on($place, $target, $pencils, $beside);

            return new WayOn(0, null, null, $move->after, $target, $move);
        }
        $rest = array_slice($toCome->steps, 1);
        $best = self::way($place, $target, 0, $planned, $planned, $rest);
        $least = $best->end->deltaE00($target) - self::WORTH;
        for ($lifts = 0; $lifts <= ($place->sheet->deposits === [] ? 0 : self::MOST_LIFTINGS); $lifts++) {
            foreach (self::others($planned) as $next) {
                $way = self::way($place, $target, $lifts, $next, $planned, $rest);
                $cost = $way->end->deltaE00($target) + self::LIFTING * $lifts;
                if ($cost < $least) {
                    [$best, $least] = [$way, $cost];
                }
            }
        }

        return $best;
    }

    /**
     * The planned step itself, with every other pressure, and not at all.
     *
     * @return list<Pass|Finish|null>
     */
    private static function others(Pass|Finish $planned): array
    {
        if ($planned instanceof Finish) {
            return [$planned, null];
        }
        $pressure = Pressure::nearest($planned->pressure);
        $others = array_filter(Pressure::cases(), static fn (Pressure $m): bool => $m !== $pressure);

        return [
            $planned,
            null,
            ...array_values(array_map(static fn (Pressure $m): Pass => new Pass($planned->pencil, $m->share()), $others)),
        ];
    }

    /** @param  list<Pass|Finish>  $rest */
    private static function way(
        AsItLies $place,
        Lab $target,
        int $lifts,
        Pass|Finish|null $next,
        Pass|Finish $planned,
        array $rest,
    ): WayOn {
        $sheet = clone $place->sheet;
        foreach ([...array_fill(0, $lifts, Lift::it()), ...$next === null ? [] : [$next], ...$rest] as $step) {
            Stack::apply($step, $sheet);
        }

        return new WayOn($lifts, $next, $planned, $place->look($sheet), $target);
    }
}
