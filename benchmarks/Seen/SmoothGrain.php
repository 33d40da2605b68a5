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
        foreach ($plan->targets as $target) {
            if (! $target->role->isOfValueRun() || $zones[$target->zone]->surface === Surface::Rough) {
                continue;
            }
            $grain = $target->recipe->evenness->grain;
            $sum += $target->weight * $grain;
            $grainy += $grain > Evenness::GRAINY ? $target->weight : 0.0;
            $area += $target->weight;
        }

        return [$sum / max(1e-9, $area), $grainy / max(1e-9, $area)];
    }
}
