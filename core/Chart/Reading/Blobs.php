<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

/** The dark and the light pieces of a photo, told apart by what lies around them, with the moments that tell a disc from all else. */
final class Blobs
{
    /** A pixel is dark below this share of the mean around it. */
    private const DARK = 0.7;

    /** Half of the side of what lies around it, as a share of the longer side. */
    private const AROUND = 0.05;

    /**
     * @param  array<int, float>  $grey  light, row after row
     * @return list<Blob>
     */
    public static function in(array $grey, int $width, int $height): array
    {
        $dark = self::dark($grey, $width, $height);
        $label = $parent = [];
        for ($y = 0, $at = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++, $at++) {
                $left = $x > 0 && $dark[$at - 1] === $dark[$at] ? self::root($parent, $label[$at - 1]) : -1;
                $above = $y > 0 && $dark[$at - $width] === $dark[$at] ? self::root($parent, $label[$at - $width]) : -1;
                if ($left < 0 && $above < 0) {
                    $label[] = count($parent);
                    $parent[] = count($parent);
                } elseif ($left >= 0 && $above >= 0) {
                    $least = min($left, $above);
                    $parent[max($left, $above)] = $least;
                    $label[] = $least;
                } else {
                    $label[] = max($left, $above);
                }
            }
        }

        return self::measured($label, $parent, $dark, $width);
    }

    /** @param  array<int, int>  $parent */
    private static function root(array &$parent, int $at): int
    {
        while ($parent[$at] !== $at) {
            $parent[$at] = $parent[$parent[$at]];
            $at = $parent[$at];
        }

        return $at;
    }

    /**
     * @param  array<int, float>  $grey
     * @return array<int, bool>
     */
    private static function dark(array $grey, int $width, int $height): array
    {
        $sums = array_fill(0, $width + 1, 0.0);
        $w = $width + 1;
        for ($y = 0, $at = 0; $y < $height; $y++) {
            $row = 0.0;
            $sums[] = 0.0;
            for ($x = 0; $x < $width; $x++, $at++) {
                $row += $grey[$at];
                $sums[] = $sums[$y * $w + $x + 1] + $row;
            }
        }
        $half = (int) round(self::AROUND * max($width, $height));
        $dark = [];
        for ($y = 0, $at = 0; $y < $height; $y++) {
            $top = max(0, $y - $half) * $w;
            $bottom = min($height, $y + $half + 1) * $w;
            $rows = ($bottom - $top) / $w;
            for ($x = 0; $x < $width; $x++, $at++) {
                $left = max(0, $x - $half);
                $right = min($width, $x + $half + 1);
                $mean =
                    ($sums[$bottom + $right] - $sums[$bottom + $left] - $sums[$top + $right] + $sums[$top + $left]) /
                    ($rows * ($right - $left));
                $dark[] = $grey[$at] < self::DARK * $mean;
            }
        }

        return $dark;
    }

    /**
     * @param  array<int, int>  $label
     * @param  array<int, int>  $parent
     * @param  array<int, bool>  $dark
     * @return list<Blob>
     */
    private static function measured(array $label, array $parent, array $dark, int $width): array
    {
        $roots = [];
        foreach (array_keys($parent) as $l) {
            $roots[] = self::root($parent, $l);
        }
        $n = $sx = $sy = $sxx = $syy = $sxy = array_fill(0, count($parent), 0);
        $box = $isDark = [];
        foreach ($label as $at => $l) {
            $r = $roots[$l];
            $x = $at % $width;
            $y = intdiv($at, $width);
            $n[$r]++;
            $sx[$r] += $x;
            $sy[$r] += $y;
            $sxx[$r] += $x * $x;
            $syy[$r] += $y * $y;
            $sxy[$r] += $x * $y;
            if (! isset($box[$r])) {
                $box[$r] = [$x, $y, $x, $y];
                $isDark[$r] = $dark[$at];
            } else {
                if ($x < $box[$r][0]) {
                    $box[$r][0] = $x;
                } elseif ($x > $box[$r][2]) {
                    $box[$r][2] = $x;
                }
                $box[$r][3] = $y;
            }
        }
        $blobs = [];
        foreach ($box as $r => $b) {
            $blobs[] = new Blob($isDark[$r], $b, [$n[$r], $sx[$r], $sy[$r], $sxx[$r], $syy[$r], $sxy[$r]]);
        }

        return $blobs;
    }
}
