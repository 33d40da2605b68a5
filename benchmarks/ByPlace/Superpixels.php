<?php

declare(strict_types=1);

namespace Benchmarks\ByPlace;

use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Splits a picture into some hundred small patches of even colour that keep to its edges.
 *
 * Source: R. Achanta and others, "SLIC superpixels compared to state-of-the-art superpixel methods", IEEE TPAMI 34 (2012):
 * k-means in colour and place, each centre looking only at its own neighbourhood. Pieces cut off are then joined to a neighbour.
 */
final class Superpixels
{
    private const ROUNDS = 5;

    /** Weight of place against colour: a patch's width counts as this many ΔE. */
    private const COMPACTNESS = 12.0;

    /** Pieces below this share of a patch are joined to what surrounds them. */
    private const LEAST_PIECE = 0.25;

    /** @return list<int> the patch of each pixel, numbered from 0 without gaps */
    public static function of(PixelGrid $grid, int $patches): array
    {
        $step = max(2, (int) round(sqrt($grid->count() / $patches)));
        $centres = self::centres($grid, $step);
        $labels = array_fill(0, $grid->count(), 0);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $labels = self::assigned($grid, $centres, $step);
            $centres = self::means($grid, $labels, $centres);
        }

        return Patchwork::joined($labels, $grid->width, $grid->height, (int) ceil(self::LEAST_PIECE * $step * $step));
    }

    /** @return list<array{float, float, float, float, float}> L*, a*, b*, x, y */
    private static function centres(PixelGrid $grid, int $step): array
    {
        $centres = [];
        for ($y = intdiv($step, 2); $y < $grid->height; $y += $step) {
            for ($x = intdiv($step, 2); $x < $grid->width; $x += $step) {
                $at = $y * $grid->width + $x;
                $centres[] = [$grid->l[$at], $grid->a[$at], $grid->b[$at], (float) $x, (float) $y];
            }
        }

        return $centres === [] ? [[$grid->l[0], $grid->a[0], $grid->b[0], 0.0, 0.0]] : $centres;
    }

    /**
     * @param  list<array{float, float, float, float, float}>  $centres
     * @return list<int>
     */
    private static function assigned(PixelGrid $grid, array $centres, int $step): array
    {
        $place = (self::COMPACTNESS / $step) ** 2;
        $least = array_fill(0, $grid->count(), INF);
        $labels = array_fill(0, $grid->count(), 0);
        [$gl, $ga, $gb, $width] = [$grid->l, $grid->a, $grid->b, $grid->width];
        foreach ($centres as $k => [$l, $a, $b, $cx, $cy]) {
            $right = min($width - 1, (int) $cx + $step);
            $bottom = min($grid->height - 1, (int) $cy + $step);
            for ($y = max(0, (int) $cy - $step); $y <= $bottom; $y++) {
                $dy = ($y - $cy) * ($y - $cy);
                for ($x = max(0, (int) $cx - $step), $at = $y * $width + $x; $x <= $right; $x++, $at++) {
                    $e = $gl[$at] - $l;
                    $f = $ga[$at] - $a;
                    $g = $gb[$at] - $b;
                    $d = $e * $e + $f * $f + $g * $g + $place * ($dy + ($x - $cx) * ($x - $cx));
                    if ($d < $least[$at]) {
                        $least[$at] = $d;
                        $labels[$at] = $k;
                    }
                }
            }
        }

        return array_values($labels);
    }

    /**
     * @param  list<int>  $labels
     * @param  list<array{float, float, float, float, float}>  $centres
     * @return list<array{float, float, float, float, float}>
     */
    private static function means(PixelGrid $grid, array $labels, array $centres): array
    {
        $l = $a = $b = $x = $y = array_fill(0, count($centres), 0.0);
        $n = array_fill(0, count($centres), 0);
        foreach ($labels as $at => $k) {
            $l[$k] += $grid->l[$at];
            $a[$k] += $grid->a[$at];
            $b[$k] += $grid->b[$at];
            $x[$k] += $at % $grid->width;
            $y[$k] += intdiv($at, $grid->width);
            $n[$k]++;
        }
        $means = [];
        foreach ($centres as $k => $centre) {
            $means[] = $n[$k] === 0 ? $centre : [$l[$k] / $n[$k], $a[$k] / $n[$k], $b[$k] / $n[$k], $x[$k] / $n[$k], $y[$k] / $n[$k]];
        }

        return $means;
    }
}
