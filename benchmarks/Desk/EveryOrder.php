<?php

declare(strict_types=1);

namespace Benchmarks\Desk;

use KnottyPrism\Core\Desk\Order\Working;
use KnottyPrism\Core\Desk\Order\WorkPlan;

/** The least that any order of a few steps costs, by trying all; what is dearer already is not gone on with. */
final class EveryOrder
{
    public static function best(WorkPlan $plan): float
    {
        $least = INF;
        $go = static function (Working $so, int $left) use (&$go, &$least, $plan): void {
            if ($left === 0) {
                $least = min($least, $so->cost);

                return;
            }
            foreach (array_keys($plan->steps) as $zone) {
                $step = $so->next($zone);
                if ($step !== null) {
                    $next = clone $so;
                    $next->lay($step);
                    if ($next->cost < $least) {
                        $go($next, $left - 1);
                    }
                }
            }
        };
        $go(new Working($plan), $plan->count());

        return $least;
    }
}
