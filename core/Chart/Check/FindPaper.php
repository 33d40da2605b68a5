<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Chart\Reading\Photograph;

/**
 * The four corners of the sheet of paper in a photo: of the largest light piece, its longest diagonal and what lies farthest from that on
 * either side.
 */
final class FindPaper
{
    private const SIDE = 320;

    /**
     * What spans less of the photo is no sheet that a drawing is on; nor is a piece of less: of a dark drawing only the bare edge is light.
     */
    private const LEAST_SPANNED = 0.1;

    private const LEAST = 0.015;

    /**
     * @return list<array{float, float}>|null pixels of the photo, round the sheet; null when none stands out
     */
    public static function in(Photograph $photo): ?array
    {
        $step = max(1, (int) round(max($photo->width, $photo->height) / self::SIDE));
        [$width, $height] = [intdiv($photo->width, $step), intdiv($photo->height, $step)];
        $light = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $at = 3 * ($y * $step * $photo->width + $x * $step);
                $light[] = ord($photo->pixels[$at]) + ord($photo->pixels[$at + 1]) + ord($photo->pixels[$at + 2]);
            }
        }
        $piece = self::largest($light, self::between($light), $width, $height);
        if (count($piece) < self::LEAST * $width * $height) {
            return null;
        }
        $points = array_map(static fn (int $at): array => [($at % $width) + 0.5, intdiv($at, $width) + 0.5], $piece);

        [$a, $b, $c, $d] = self::corners($points);
        $spanned = abs(($c[0] - $a[0]) * ($d[1] - $b[1]) - ($c[1] - $a[1]) * ($d[0] - $b[0])) / 2;

        return $spanned < self::LEAST_SPANNED * $width * $height
            ? null
            : array_map(static fn (array $p): array => [$p[0] * $step, $p[1] * $step], [$a, $b, $c, $d]);
    }

    /**
     * The level that tells light from dark best (N. Otsu, 1979).
     *
     * @param  non-empty-list<int>|list<int>  $light  0–765
     */
    private static function between(array $light): int
    {
        $counts = array_fill(0, 766, 0);
        foreach ($light as $v) {
            $counts[$v]++;
        }
        $all = count($light);
        $sum = array_sum($light);
        [$best, $level, $n, $below] = [-1.0, 383, 0, 0];
        foreach ($counts as $v => $count) {
            $n += $count;
            $below += $v * $count;
            if ($n > 0 && $n < $all) {
                $apart = $n * ($all - $n) * ($below / $n - ($sum - $below) / ($all - $n)) ** 2;
                if ($apart > $best) {
                    [$best, $level] = [$apart, $v];
                }
            }
        }

        return $level;
    }

    /**
     * The largest piece that is lighter than a level.
     *
     * @param  list<int>  $light
     * @return list<int> places
     */
    private static function largest(array $light, int $level, int $width, int $height): array
    {
        $seen = array_fill(0, $width * $height, false);
        $largest = [];
        foreach ($light as $start => $v) {
            if ($seen[$start] || $v <= $level) {
                continue;
            }
            $piece = $open = [$start];
            $seen[$start] = true;
            while (($at = array_pop($open)) !== null) {
                $x = $at % $width;
                foreach ([$x > 0 ? $at - 1 : -1, $x < $width - 1 ? $at + 1 : -1, $at - $width, $at + $width] as $next) {
                    if ($next >= 0 && $next < $width * $height && ! $seen[$next] && $light[$next] > $level) {
                        $seen[$next] = true;
                        $piece[] = $open[] = $next;
                    }
                }
            }
            if (count($piece) > count($largest)) {
                $largest = $piece;
            }
        }

        return $largest;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} in turn
     */
    private static function corners(array $points): array
    {
        $farthest = static function (\Closure $how) use ($points): array {
            $best = $points[0];
            $most = -INF;
            foreach ($points as $point) {
                $far = $how($point);
                if ($far > $most) {
                    [$most, $best] = [$far, $point];
                }
            }

            return $best;
        };
        $n = count($points);
        $middle = [array_sum(array_column($points, 0)) / $n, array_sum(array_column($points, 1)) / $n];
        $from = static fn (array $p): \Closure => static fn (array $q): float => hypot($q[0] - $p[0], $q[1] - $p[1]);
        $one = $farthest($from($middle));
        $other = $farthest($from($one));
        $side = static fn (array $p): float => ($other[0] - $one[0]) * ($p[1] - $one[1]) - ($other[1] - $one[1]) * ($p[0] - $one[0]);

        return [$one, $farthest(static fn (array $p): float => -$side($p)), $other, $farthest($side)];
    }
}
