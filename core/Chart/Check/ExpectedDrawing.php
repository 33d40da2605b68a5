<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Photo\Zones\BetweenValues;
use KnottyPrism\Core\Picture\PassesLaid;

/**
 * The drawing as it should look now, place by place: every zone's shades after the passes that are laid, and between two shades as the
 * photo's value lies between theirs.
 */
final readonly class ExpectedDrawing
{
    private const LEVELS = 101;

    /**
     * @param  array<int, array{float, float, float}>  $light  linear light by place of the grid, row after row
     * @param  array<int, int>  $shades  which shade of its zone a place belongs to, by place; -1 for none
     * @param  array{float, float, float}  $bare  linear light of the bare paper
     */
    private function __construct(public int $width, public int $height, public array $light, public array $shades, public array $bare)
    {
    }

    public static function of(DrawingPlan $plan, PassesLaid $progress): self
    {
        $levels = $nearest = [];
        foreach ($plan->zones as $zone) {
            [$levels[$zone->number], $nearest[$zone->number]] = self::run($zone, $plan, $progress->of($zone->number));
        }
        $bare = self::linear(Lab::ofReflectance($plan->paper->reflectance));
        $numbers = $plan->labels->numbers();
        $light = $shades = [];
        foreach ($plan->photo->l as $at => $l) {
            $level = max(0, min(self::LEVELS - 1, (int) round($l)));
            $light[] = $levels[$numbers[$at]][$level] ?? $bare;
            $shades[] = $nearest[$numbers[$at]][$level] ?? -1;
        }

        return new self($plan->photo->width, $plan->photo->height, $light, $shades, $bare);
    }

    /**
     * @return array{list<array{float, float, float}>, list<int>} by level of L* in the photo: linear light, and the nearest shade
     */
    private static function run(CheckedZone $zone, DrawingPlan $plan, int $passes): array
    {
        $ends = [];
        foreach ($zone->shades as $i => $shade) {
            $ends[] = [$shade->seen->l, self::linear(Lab::ofXyz($shade->done($passes)->on($plan->paper)->xyz())), $i];
        }
        usort($ends, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $light = $nearest = [];
        for ($level = 0; $level < self::LEVELS && $ends !== []; $level++) {
            [$below, $above, $share] = BetweenValues::of(array_column($ends, 0), $level);
            $light[] = [
                $ends[$below][1][0] + $share * ($ends[$above][1][0] - $ends[$below][1][0]),
                $ends[$below][1][1] + $share * ($ends[$above][1][1] - $ends[$below][1][1]),
                $ends[$below][1][2] + $share * ($ends[$above][1][2] - $ends[$below][1][2]),
            ];
            $nearest[] = $ends[$share < 0.5 ? $below : $above][2];
        }

        return [$light, $nearest];
    }

    /** @return array{float, float, float} */
    private static function linear(Lab $lab): array
    {
        $xyz = $lab->xyz();

        return SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
    }
}
