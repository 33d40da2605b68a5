<?php

declare(strict_types=1);

namespace Benchmarks\Seen;

use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Picture\PlannedPicture;

/** How evenly what is not rough is planned to lie. */
final class SmoothGrain
{
    /**
     * @param  array<int, Zone>  $zones  as they look on the photo, by number
     * @return array{float, float} mean grain of the value runs of those that are not rough, L*, and the share of these where paper shows
     */
    public static function of(PlannedPicture $plan, array $zones): array
    {
        $sum = $grainy = $area = 0.0;
        foreach ($plan->answers() as $number => $answer) {
            foreach ($zones[$number]->surface === Surface::Rough ? [] : $answer->outcomes as $outcome) {
                if (! $outcome->shade->touch) {
                    $sum += $outcome->shade->weight * $outcome->evenness->grain;
                    $grainy += $outcome->evenness->grain > Evenness::GRAINY ? $outcome->shade->weight : 0.0;
                    $area += $outcome->shade->weight;
                }
            }
        }

        return [$sum / max(1e-9, $area), $grainy / max(1e-9, $area)];
    }
}
