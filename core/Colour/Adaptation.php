<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/** CIELAB between the white of daylight here (D65) and the white that measurement files use (D50), by Bradford's adaptation. */
final class Adaptation
{
    /** D50 as ICC.1 writes it. */
    private const D50 = [0.9642, 1.0, 0.8249];

    private const EPSILON = 216 / 24389;

    private const KAPPA = 24389 / 27;

    /** @return array{float, float, float} L*, a*, b* under D50 */
    public static function toD50(Lab $lab): array
    {
        $xyz = $lab->xyz();
        $cones = Cones::ofXyz($xyz->x, $xyz->y, $xyz->z);
        $white = Cones::ofXyz(...self::D50);
        $f = array_map(self::f(...), self::over(Cones::toXyz($cones[0] * $white[0], $cones[1] * $white[1], $cones[2] * $white[2])));

        return [116 * $f[1] - 16, 500 * ($f[0] - $f[1]), 200 * ($f[1] - $f[2])];
    }

    public static function fromD50(float $l, float $a, float $b): Lab
    {
        $fy = ($l + 16) / 116;
        $xyz = array_map(static fn (float $f, float $white): float => $white * self::inverse($f), [$fy + $a / 500, $fy, $fy - $b / 200], self::D50);
        $cones = Cones::ofXyz(...$xyz);
        $white = Cones::ofXyz(...self::D50);

        return Lab::ofXyz(new Xyz(...Cones::toXyz($cones[0] / $white[0], $cones[1] / $white[1], $cones[2] / $white[2])));
    }

    /**
     * @param  array{float, float, float}  $xyz
     * @return array{float, float, float}
     */
    private static function over(array $xyz): array
    {
        return [$xyz[0] / self::D50[0], $xyz[1] / self::D50[1], $xyz[2] / self::D50[2]];
    }

    private static function f(float $t): float
    {
        return $t > self::EPSILON ? $t ** (1 / 3) : (self::KAPPA * $t + 16) / 116;
    }

    private static function inverse(float $f): float
    {
        return $f ** 3 > self::EPSILON ? $f ** 3 : (116 * $f - 16) / self::KAPPA;
    }
}
