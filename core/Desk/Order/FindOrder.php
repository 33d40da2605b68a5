<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

/**
 * Finds the order of work: a beam over what may be done next, which keeps of all ways to the same work done with the same pencil in the
 * hand the cheapest. A zone's own order and what dries are kept by how it is built; everything else has its price.
 */
final class FindOrder
{
    /** States kept at every length; fewer where there are many steps. */
    private const WIDTH = 60;

    /** States times steps times zones, at most. */
    private const WORK = 72000;

    private const LEAST_WIDTH = 12;

    public static function for(WorkPlan $plan): OrderedSteps
    {
        $steps = $plan->count();
        $width = max(self::LEAST_WIDTH, min(self::WIDTH, (int) (self::WORK / max(1, $steps * count($plan->steps)))));
        $states = [new Working($plan)];
        for ($i = 0; $i < $steps; $i++) {
            $found = [];
            foreach ($states as $state) {
                foreach (array_keys($plan->steps) as $zone) {
                    $step = $state->next($zone);
                    if ($step === null) {
                        continue;
                    }
                    $next = clone $state;
                    $next->lay($step);
                    $key = implode(',', $next->done).$next->tool;
                    if (! isset($found[$key]) || $next->cost < $found[$key]->cost) {
                        $found[$key] = $next;
                    }
                }
            }
            $states = self::cheapest($plan, array_values($found), $width);
        }

        return OrderedSteps::of($states[0]);
    }

    /**
     * By what they have cost and what every pencil that is still to come costs at least.
     *
     * @param  list<Working>  $states
     * @return non-empty-list<Working>
     */
    private static function cheapest(WorkPlan $plan, array $states, int $width): array
    {
        $promise = array_map(static fn (Working $w): float => $w->cost + $plan->pickUp * self::toCome($plan, $w), $states);
        asort($promise);
        $kept = array_map(static fn (int $i): Working => $states[$i], array_slice(array_keys($promise), 0, $width));

        return $kept === [] ? [new Working($plan)] : $kept;
    }

    /** Pencils that must be picked up yet. */
    private static function toCome(WorkPlan $plan, Working $state): int
    {
        $tools = [];
        foreach ($plan->steps as $zone => $steps) {
            for ($at = $state->done[$zone], $n = count($steps); $at < $n; $at++) {
                $tools[$steps[$at]->tool] = true;
            }
        }
        unset($tools[(string) $state->tool]);

        return count($tools);
    }
}
