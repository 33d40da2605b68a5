<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** Where a planned picture differs from its photo, and how the values of both are spread. */
final class ErrorMap
{
    /** ΔE00 that is drawn black; none is drawn white. */
    private const BLACK_FROM = 20.0;

    private const STEPS = 9;

    /**
     * Grain is for the eye to run together, so colours are compared as means of small squares.
     *
     * @param  int  $square  side of a square, pixels
     * @return string a byte a pixel: white where nothing differs, the darker the more
     */
    public static function of(PixelGrid $photo, PixelGrid $plan, int $square): string
    {
        [$width, $height] = [$photo->width, $photo->height];
        $columns = (int) ceil($width / $square);
        $rows = [];
        for ($top = 0; $top < $height; $top += $square) {
            $row = array_fill(0, $width, 255);
            for ($c = 0; $c < $columns; $c++) {
                $left = $c * $square;
                $right = min($width, $left + $square);
                $bottom = min($height, $top + $square);
                $apart = self::mean($photo, $left, $right, $top, $bottom)->deltaE00(self::mean($plan, $left, $right, $top, $bottom));
                $grey = (int) round(255 * (1 - min(1.0, $apart / self::BLACK_FROM)));
                for ($x = $left; $x < $right; $x++) {
                    $row[$x] = $grey;
                }
            }
            $rows[] = str_repeat(pack('C*', ...$row), min($square, $height - $top));
        }

        return implode('', $rows);
    }

    /** @return list<float> share of the pixels in each of nine value steps, the darkest first, 0–1 */
    public static function valueRun(PixelGrid $grid): array
    {
        $scale = new ValueScale(self::STEPS);
        $counts = array_fill(1, self::STEPS, 0);
        foreach ($grid->l as $l) {
            $counts[$scale->stepOf(new Lab($l, 0, 0))]++;
        }

        return array_values(array_map(static fn (int $n): float => $n / max(1, $grid->count()), $counts));
    }

    private static function mean(PixelGrid $grid, int $left, int $right, int $top, int $bottom): Lab
    {
        $l = $a = $b = 0.0;
        for ($y = $top; $y < $bottom; $y++) {
            for ($x = $left; $x < $right; $x++) {
                $at = $y * $grid->width + $x;
                $l += $grid->l[$at];
                $a += $grid->a[$at];
                $b += $grid->b[$at];
            }
        }
        $n = max(1, ($right - $left) * ($bottom - $top));

        return new Lab($l / $n, $a / $n, $b / $n);
    }
}
