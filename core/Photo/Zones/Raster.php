<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** Drawn lines and outlines as pixels of a grid. Points are shares of the picture's width and height, 0–1, and may lie outside. */
final class Raster
{
    /** How much a drawn line is made longer at both ends, as a share of the picture: nobody ends exactly on a border. */
    private const LONGER = 0.02;

    /**
     * The pixels whose middle lies within a closed outline (even-odd rule).
     *
     * @param  list<array{float, float}>  $points
     * @return list<int>
     */
    public static function within(array $points, int $width, int $height): array
    {
        $pixels = [];
        for ($y = 0; $y < $height; $y++) {
            $at = ($y + 0.5) / $height;
            $crossings = [];
            foreach ($points as $i => [$x0, $y0]) {
                [$x1, $y1] = $points[($i + 1) % count($points)];
                if (($y0 <= $at) !== ($y1 <= $at)) {
                    $crossings[] = ($x0 + ($at - $y0) / ($y1 - $y0) * ($x1 - $x0)) * $width;
                }
            }
            sort($crossings);
            for ($i = 0; $i + 1 < count($crossings); $i += 2) {
                for ($x = max(0, (int) ceil($crossings[$i] - 0.5)), $end = min($width - 1.0, $crossings[$i + 1] - 0.5); $x <= $end; $x++) {
                    $pixels[] = $y * $width + $x;
                }
            }
        }

        return $pixels;
    }

    /**
     * The pixels under a line, made a little longer, without a gap that anything could slip through sideways or up and down.
     *
     * @param  list<array{float, float}>  $points
     * @return array<int, true> by pixel
     */
    public static function along(array $points, int $width, int $height): array
    {
        $last = count($points) - 1;
        array_unshift($points, self::beyond($points[1], $points[0]));
        $points[] = self::beyond($points[$last], $points[$last + 1]);
        $pixels = [];
        foreach ($points as $i => [$x0, $y0]) {
            [$x1, $y1] = $points[$i + 1] ?? [$x0, $y0];
            $steps = 1 + (int) ceil(3 * max(abs($x1 - $x0) * $width, abs($y1 - $y0) * $height));
            $before = null;
            for ($s = 0; $s <= $steps; $s++) {
                $x = (int) floor(($x0 + ($x1 - $x0) * $s / $steps) * $width);
                $y = (int) floor(($y0 + ($y1 - $y0) * $s / $steps) * $height);
                if ($x >= 0 && $y >= 0 && $x < $width && $y < $height) {
                    $pixels[$y * $width + $x] = true;
                    if ($before !== null && $before[0] !== $x && $before[1] !== $y) {
                        $pixels[$before[1] * $width + $x] = true;
                    }
                }
                $before = [$x, max(0, min($height - 1, $y))];
            }
        }

        return array_filter($pixels, static fn (int $at): bool => $at < $width * $height, ARRAY_FILTER_USE_KEY);
    }

    /**
     * The pixels whose middle a brush covers that is drawn from point to point. On every row of pixels the way of the brush between two
     * points covers one stretch; the stretches of all of them are added up as differences, so that a long stroke of a wide brush costs
     * no more than its rows.
     *
     * @param  list<array{float, float}>  $points
     * @param  float  $radius  as a share of the width
     * @return array<int, true> by pixel
     */
    public static function brushed(array $points, float $radius, int $width, int $height): array
    {
        $r = max(0.5, $radius * $width);
        $changes = [];
        foreach ($points as $i => [$x0, $y0]) {
            [$x1, $y1] = $points[$i + 1] ?? [$x0, $y0];
            [$ax, $ay, $bx, $by] = [$x0 * $width, $y0 * $height, $x1 * $width, $y1 * $height];
            for ($y = max(0, (int) floor(min($ay, $by) - $r)), $end = min($height - 1, (int) floor(max($ay, $by) + $r)); $y <= $end; $y++) {
                [$from, $to] = self::stretch($y + 0.5, $ax, $ay, $bx, $by, $r);
                $first = max(0, (int) ceil($from - 0.5));
                $last = min($width - 1, (int) floor($to - 0.5));
                if ($first <= $last) {
                    $changes[$y][$first] = ($changes[$y][$first] ?? 0) + 1;
                    $changes[$y][$last + 1] = ($changes[$y][$last + 1] ?? 0) - 1;
                }
            }
        }

        return self::summed($changes, $width);
    }

    /**
     * Where a row meets all that lies within r of the line from a to b: a disc at either end and a slanted band between them.
     *
     * @return array{float, float} from and to; to before from where they do not meet
     */
    private static function stretch(float $y, float $ax, float $ay, float $bx, float $by, float $r): array
    {
        $from = INF;
        $to = -INF;
        foreach ([[$ax, $y - $ay], [$bx, $y - $by]] as [$x, $dy]) {
            if (abs($dy) <= $r) {
                $half = sqrt($r * $r - $dy * $dy);
                $from = min($from, $x - $half);
                $to = max($to, $x + $half);
            }
        }
        $length = hypot($bx - $ax, $by - $ay);
        if ($length > 0 && $ay !== $by) {
            // The band's two long sides, r to the left and to the right of the line.
            $nx = -($by - $ay) / $length * $r;
            $ny = ($bx - $ax) / $length * $r;
            foreach ([1, -1] as $side) {
                $share = ($y - $ay - $side * $ny) / ($by - $ay);
                if ($share >= 0 && $share <= 1) {
                    $x = $ax + $side * $nx + $share * ($bx - $ax);
                    $from = min($from, $x);
                    $to = max($to, $x);
                }
            }
        }

        return [$from, $to];
    }

    /**
     * @param  array<int, array<int, int>>  $changes  by row and column: how many stretches begin there less those that ended
     * @return array<int, true> by pixel
     */
    private static function summed(array $changes, int $width): array
    {
        $pixels = [];
        foreach ($changes as $y => $row) {
            ksort($row);
            $open = 0;
            $since = 0;
            foreach ($row as $x => $change) {
                for ($at = $since; $open > 0 && $at < $x; $at++) {
                    $pixels[$y * $width + $at] = true;
                }
                $open += $change;
                $since = $x;
            }
        }

        return $pixels;
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $end
     * @return array{float, float} a little beyond the end
     */
    private static function beyond(array $from, array $end): array
    {
        $length = max(1e-6, hypot($end[0] - $from[0], $end[1] - $from[1]));

        return [$end[0] + ($end[0] - $from[0]) / $length * self::LONGER, $end[1] + ($end[1] - $from[1]) / $length * self::LONGER];
    }
}
