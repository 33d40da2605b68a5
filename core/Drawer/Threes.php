<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Colour\Oklch;

/** Analogous threes: with a base pencil, a lighter and a darker one of near hue that make an even run of light, mid and dark. */
final class Threes
{
    /** L* that the lighter or darker one is away from the base, at least and at most. */
    private const STEP = [8.0, 34.0];

    /** Degrees of hue beyond which it is another family. */
    private const NEAR_HUE = 38.0;

    /** What one L* of unevenness costs against a degree of hue. */
    private const UNEVEN = 1.2;

    /** A colour under this OKLCh chroma has no hue to speak of. */
    private const HUELESS = 0.03;

    /**
     * @param  list<Portrait>  $others
     * @return list<Three> the evenest and nearest in hue first
     */
    public static function around(Portrait $base, array $others, int $count): array
    {
        $side = static fn (int $sign): array => array_values(
            array_filter(
                $others,
                static fn (Portrait $p): bool => $sign * ($p->heavy->l - $base->heavy->l) >= self::STEP[0] &&
                    $sign * ($p->heavy->l - $base->heavy->l) <= self::STEP[1] &&
                    self::turn($base, $p) <= self::NEAR_HUE,
            ),
        );
        $threes = [];
        foreach ($side(1) as $light) {
            foreach ($side(-1) as $dark) {
                $steps = [$light->heavy->l - $base->heavy->l, $base->heavy->l - $dark->heavy->l];
                $threes[] = new Three(
                    $light,
                    $dark,
                    $steps[0],
                    $steps[1],
                    self::UNEVEN * abs($steps[0] - $steps[1]) + self::turn($base, $light) + self::turn($base, $dark),
                );
            }
        }
        usort($threes, static fn (Three $a, Three $b): int => $a->cost <=> $b->cost);

        return array_slice($threes, 0, $count);
    }

    /** Degrees between two hues; greys go with greys and with nothing else. */
    private static function turn(Portrait $a, Portrait $b): float
    {
        [$one, $other] = [Oklch::ofLab($a->heavy), Oklch::ofLab($b->heavy)];
        if ($one->chroma < self::HUELESS || $other->chroma < self::HUELESS) {
            return $one->chroma < self::HUELESS && $other->chroma < self::HUELESS ? 0.0 : INF;
        }

        return abs(fmod($one->hueDegrees - $other->hueDegrees + 540, 360) - 180);
    }
}
