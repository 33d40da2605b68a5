<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SmoothestReflectance;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * What was matched by daylight and is not under another lamp. Of the thing in the photo no spectrum is known: the smoothest that has its
 * colour stands for it, as most things reflect smoothly.
 */
final readonly class PartedByLight
{
    /** How much farther apart they come than by daylight, ΔE00, to be said. */
    private const SAID = 2.0;

    /** @param  float  $farther  ΔE00 */
    private function __construct(public int $zone, public Shade $shade, public float $farther)
    {
    }

    /**
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @return list<self> those that part, the farthest first
     */
    public static function in(array $answers, Illuminant $light): array
    {
        $parted = [];
        foreach ($answers as $zone => $answer) {
            foreach ($answer->outcomes as $outcome) {
                $drawn = $outcome->laid->after($outcome->laid->steps())->meanReflectance();
                $thing = SmoothestReflectance::ofLab($outcome->shade->target);
                $apart = static fn (Illuminant $under): float => self::under($under, $drawn)->deltaE00(self::under($under, $thing));
                $farther = $apart($light) - $apart(Illuminant::D65);
                if ($farther >= self::SAID) {
                    $parted[] = new self($zone, $outcome->shade, $farther);
                }
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
