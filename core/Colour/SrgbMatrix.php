<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

use KnottyPrism\Core\Colour\Equations\Matrix3;

/**
 * Linear sRGB ↔ XYZ, derived from the primaries and the white so that both directions are exact inverses and
 * (1, 1, 1) is exactly the white of {@see Xyz::WHITE}; published four-digit matrices are not.
 */
final class SrgbMatrix
{
    /** Chromaticities of the primaries, IEC 61966-2-1: x, y of red, green, blue. */
    private const PRIMARIES = [[0.64, 0.33], [0.30, 0.60], [0.15, 0.06]];

    /** @var list<list<float>>|null */
    private static ?array $toXyz = null;

    /** @var list<list<float>>|null */
    private static ?array $toLinear = null;

    /** @return array{float, float, float} X, Y, Z */
    public static function xyzOfLinear(float $r, float $g, float $b): array
    {
        return Matrix3::times(self::$toXyz ??= self::derive(), $r, $g, $b);
    }

    /** @return array{float, float, float} linear red, green, blue; outside 0–1 for colours out of gamut */
    public static function linearOfXyz(float $x, float $y, float $z): array
    {
        return Matrix3::times(self::$toLinear ??= Matrix3::inverse(self::$toXyz ??= self::derive()), $x, $y, $z);
    }

    /** @return array{float, float, float} how much of a linear colour's luminance is red, green, blue */
    public static function luminanceWeights(): array
    {
        return [self::xyzOfLinear(1, 0, 0)[1], self::xyzOfLinear(0, 1, 0)[1], self::xyzOfLinear(0, 0, 1)[1]];
    }

    /** @return list<list<float>> */
    private static function derive(): array
    {
        $columns = array_map(static fn (array $p): array => [$p[0] / $p[1], 1.0, (1 - $p[0] - $p[1]) / $p[1]], self::PRIMARIES);
        $primaries = [
            [$columns[0][0], $columns[1][0], $columns[2][0]],
            [$columns[0][1], $columns[1][1], $columns[2][1]],
            [$columns[0][2], $columns[1][2], $columns[2][2]],
        ];
        $scale = Matrix3::times(Matrix3::inverse($primaries), ...Xyz::WHITE);

        return array_map(static fn (array $row): array => [$row[0] * $scale[0], $row[1] * $scale[1], $row[2] * $scale[2]], $primaries);
    }
}
