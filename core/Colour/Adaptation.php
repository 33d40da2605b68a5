<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * CIELAB between the white of daylight here (D65) and the white that measurement files use (D50), by Bradford's adaptation. L*a*b*
 * depend on XYZ only as shares of the white, so both directions go through the shares.
 */
final class Adaptation
{
    /** D50 as ICC.1 writes it. */
    private const D50 = [0.9642, 1.0, 0.8249];

    /** @return array{float, float, float} L*, a*, b* under D50 */
    public static function toD50(Lab $lab): array
    {
        $xyz = $lab->xyz();
        $white = Cones::ofXyz(...self::D50);
        $cones = Cones::ofXyz($xyz->x, $xyz->y, $xyz->z);
        $adapted = Cones::toXyz($cones[0] * $white[0], $cones[1] * $white[1], $cones[2] * $white[2]);

        return Lab::ofXyz(self::ofWhite($adapted, self::D50, Xyz::WHITE))->toArray();
    }

    public static function fromD50(float $l, float $a, float $b): Lab
    {
        $xyz = (new Lab($l, $a, $b))->xyz();
        $seen = self::ofWhite([$xyz->x, $xyz->y, $xyz->z], Xyz::WHITE, self::D50);
        $white = Cones::ofXyz(...self::D50);
        $cones = Cones::ofXyz($seen->x, $seen->y, $seen->z);

        return Lab::ofXyz(new Xyz(...Cones::toXyz($cones[0] / $white[0], $cones[1] / $white[1], $cones[2] / $white[2])));
    }

    /**
     * The same shares of another white.
     *
     * @param  array{float, float, float}  $xyz
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $to
     */
    private static function ofWhite(array $xyz, array $from, array $to): Xyz
    {
        return new Xyz($xyz[0] / $from[0] * $to[0], $xyz[1] / $from[1] * $to[1], $xyz[2] / $from[2] * $to[2]);
    }
}
