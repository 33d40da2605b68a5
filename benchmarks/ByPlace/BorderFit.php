<?php

declare(strict_types=1);

namespace Benchmarks\ByPlace;

use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Draws the borders of regions onto the edges of a photo: a pixel at a border goes to that neighbour whose own near pixels look most like
 * it.
 */
final class BorderFit
{
    private const ROUNDS = 5;

    /** Pixels around one that are looked at. */
    private const RADIUS = 4;

    /** How much more alike, ΔE, another region must be than the pixel's own: grain moves no border. */
    private const CLEARLY = 1.0;

    /**
     * @param  list<int>  $labels  by pixel
     * @return list<int>
     */
    public static function of(PixelGrid $grid, array $labels): array
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $moved = $labels;
            foreach ($labels as $at => $own) {
                if (self::isBorder($labels, $at, $own, $grid->width)) {
                    $moved[$at] = self::nearest($grid, $labels, $at);
                }
            }
            if ($moved === $labels) {
                break;
            }
            $labels = array_values($moved);
        }

        return $labels;
    }

    /** @param  list<int>  $labels */
    private static function isBorder(array $labels, int $at, int $own, int $width): bool
    {
        $x = $at % $width;

        return ($x > 0 && $labels[$at - 1] !== $own) ||
            ($x < $width - 1 && $labels[$at + 1] !== $own) ||
            ($labels[$at - $width] ?? $own) !== $own ||
            ($labels[$at + $width] ?? $own) !== $own;
    }

    /** @param  list<int>  $labels */
    private static function nearest(PixelGrid $grid, array $labels, int $at): int
    {
        [$x, $y, $width] = [$at % $grid->width, intdiv($at, $grid->width), $grid->width];
        $sums = [];
        for ($v = max(0, $y - self::RADIUS), $bottom = min($grid->height - 1, $y + self::RADIUS); $v <= $bottom; $v++) {
            for (
                $there = $v * $width + max(0, $x - self::RADIUS), $end = $v * $width + min($width - 1, $x + self::RADIUS);
                $there <= $end;
                $there++
            ) {
                if ($there !== $at) {
                    $label = $labels[$there];
                    $sums[$label] ??= [0, 0.0, 0.0, 0.0];
                    $sums[$label][0]++;
                    $sums[$label][1] += $grid->l[$there];
                    $sums[$label][2] += $grid->a[$there];
                    $sums[$label][3] += $grid->b[$there];
                }
            }
        }
        $own = $labels[$at];
        $apart = array_map(
            static fn (array $s): float => sqrt(
                ($grid->l[$at] - $s[1] / $s[0]) ** 2 + ($grid->a[$at] - $s[2] / $s[0]) ** 2 + ($grid->b[$at] - $s[3] / $s[0]) ** 2,
            ),
            $sums,
        );
        $best = $own;
        $least = ($apart[$own] ?? INF) - self::CLEARLY;
        foreach ($apart as $label => $difference) {
            if ($label !== $own && $difference < $least) {
                [$best, $least] = [$label, $difference];
            }
        }

        return $best;
    }
}
