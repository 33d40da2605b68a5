<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SmoothestReflectance;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Picture\PlannedTarget;

/**
 * What was matched by daylight and is not under another lamp. Of the thing in the photo no spectrum is known: the smoothest that has its colour
 * stands for it, as most things reflect smoothly.
 */
final readonly class PartedByLight
{
    /** How much farther apart they come than by daylight, ΔE00, to be said. */
    private const SAID = 2.0;

    /** @param  float  $farther  ΔE00 */
    private function __construct(public PlannedTarget $target, public float $farther)
    {
    }

    /**
     * @param  list<PlannedTarget>  $targets
     * @return list<self> those that part, the farthest first
     */
    public static function in(array $targets, Paper $paper, Illuminant $light): array
    {
        $parted = [];
        foreach ($targets as $target) {
            $drawn = $target->recipe->stack->on($paper)->meanReflectance();
            $thing = SmoothestReflectance::ofLab($target->fitted);
            $apart = static fn (Illuminant $under): float => self::under($under, $drawn)->deltaE00(self::under($under, $thing));
            $farther = $apart($light) - $apart(Illuminant::D65);
            if ($farther >= self::SAID) {
                $parted[] = new self($target, $farther);
            }
        }
        usort($parted, static fn (self $a, self $b): int => $b->farther <=> $a->farther);

        return $parted;
    }

    /** @param  array<int, float>  $reflectance  36 bands */
    public static function under(Illuminant $light, array $reflectance): Lab
    {
        return Lab::ofXyz($light->on($reflectance));
    }
}
