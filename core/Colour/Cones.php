<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

use KnottyPrism\Core\Colour\Equations\Matrix3;

/**
 * Long, middle and short cone responses, 0–1, each 1 for the white: three broad bands in which any real colour stays positive,
 * so that logarithms of them behave like densities even for colours no screen can show.
 *
 * Source: the cone response matrix of K. M. Lam, "Metamerism and Colour Constancy" (University of Bradford, 1985).
 */
final class Cones
{
    private const MATRIX = [[0.8951, 0.2664, -0.1614], [-0.7502, 1.7135, 0.0367], [0.0389, -0.0685, 1.0296]];

    /** @var list<list<float>>|null */
    private static ?array $rows = null;

    /** @var list<list<float>>|null */
    private static ?array $inverse = null;

    /** @return array{float, float, float} */
    public static function ofXyz(float $x, float $y, float $z): array
    {
        [$l, $m, $s] = self::$rows ??= self::scaled();

        return [$l[0] * $x + $l[1] * $y + $l[2] * $z, $m[0] * $x + $m[1] * $y + $m[2] * $z, $s[0] * $x + $s[1] * $y + $s[2] * $z];
    }

    /** @return array{float, float, float} X, Y, Z */
    public static function toXyz(float $long, float $middle, float $short): array
    {
        return Matrix3::times(self::$inverse ??= Matrix3::inverse(self::$rows ??= self::scaled()), $long, $middle, $short);
    }

    /**
     * Rows scaled so that the white gives 1.
     *
     * @return list<list<float>>
     */
    private static function scaled(): array
    {
        [$x, $y, $z] = Xyz::WHITE;

        return array_map(static function (array $row) use ($x, $y, $z): array {
            $white = $row[0] * $x + $row[1] * $y + $row[2] * $z;

            return array_map(static fn (float $v): float => $v / $white, $row);
        }, self::MATRIX);
    }
}
