<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Medium\Laying\Pressure;

/**
 * A zone's passes in the order in which they are laid: as its sequence has them, but touches after the values of the zone wherever that
 * changes nothing of what lies anywhere.
 */
final class ZoneSteps
{
    /**
     * @param  list<WorkPass>  $passes  from the paper up
     * @param  list<bool>  $touches  whether a shade is a touch
     * @return list<int> the passes by their place
     */
    public static function order(array $passes, array $touches): array
    {
        $waiting = $order = [];
        foreach ($passes as $at => $pass) {
            if ($pass->isOn($touches)) {
                $waiting[] = $at;

                continue;
            }
            // In every shade the passes keep their order: what waits for a touch that is gone over now comes before, with all that waits
            // longer.
            $due = array_keys(
                array_filter($waiting, static fn (int $w): bool => array_intersect($passes[$w]->over(), $pass->over()) !== []),
            );
            if ($due !== []) {
                array_push($order, ...array_splice($waiting, 0, max($due) + 1));
            }
            $order[] = $at;
        }

        return [...$order, ...$waiting];
    }

    /**
     * @param  list<WorkPass>  $passes
     * @param  list<float>  $shares  of the zone, by shade
     * @param  list<bool>  $touches  whether a shade is a touch
     * @return list<DeskStep>
     */
    public static function of(DeskZone $zone, array $passes, array $shares, array $touches, WorkingHabits $habits): array
    {
        return self::inOrder($zone, $passes, self::order($passes, $touches), $shares, $touches, $habits);
    }

    /**
     * The same for passes of which some lie already: those have their order.
     *
     * @param  list<WorkPass>  $passes
     * @param  list<int>  $order  of the passes by their place
     * @param  list<float>  $shares
     * @param  list<bool>  $touches
     * @return list<DeskStep>
     */
    public static function inOrder(
        DeskZone $zone,
        array $passes,
        array $order,
        array $shares,
        array $touches,
        WorkingHabits $habits,
    ): array {
        $whole = max(1e-9, array_sum($shares));
        $shares = array_map(static fn (float $share): float => $share / $whole, $shares);

        return array_map(
            static fn (int $at): DeskStep => new DeskStep(
                $zone->number,
                $at,
                $passes[$at]->tool,
                $habits->pace * PassMinutes::of($passes[$at], $shares, $zone->area, $zone->pieces),
                self::drying($passes[$at], $habits),
                $passes[$at]->isOn($touches),
                $passes[$at]->pressures,
            ),
            $order,
        );
    }

    /** Minutes: a wash that is laid on firmly anywhere is a wet one. */
    public static function drying(WorkPass $pass, WorkingHabits $habits): float
    {
        if ($pass->finish?->dries !== true) {
            return 0.0;
        }
        $firm = array_filter($pass->pressures, static fn (?Pressure $m): bool => $m === Pressure::Firm || $m === Pressure::Full);

        return (float) ($firm === [] ? $habits->thin : $habits->wet);
    }
}
