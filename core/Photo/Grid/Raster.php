<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Grid;

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
     * The pixels whose middle a brush covers that is drawn from point to point: all within its radius r of a line from (ax, ay) to
     * (bx, by). A row of pixels meets that in one stretch, between the outermost of a disc at either end and the two long sides of the
     * band between them. Where stretches begin and end is added up row by row, so that a long stroke of a wide brush costs no more than
     * its rows. One plain loop: hostile strokes have a hundred thousand rows.
     *
     * @param  list<array{float, float}>  $points
     * @param  float  $radius  as a share of the width
     * @return array<int, true> by pixel
     */
    public static function brushed(array $points, float $radius, int $width, int $height): array
    {
        $r = max(0.5, $radius * $width);
        $rr = $r * $r;
        $row = $width + 1;
        $changes = array_fill(0, $row * $height, 0);
        $count = count($points);
        foreach ($points as $i => [$ax, $ay]) {
            [$bx, $by] = $points[min($count - 1, $i + 1)];
            $ax *= $width;
            $bx *= $width;
            $ay *= $height;
            $by *= $height;
            $length = hypot($bx - $ax, $by - $ay);
            // From the line to its long side, and how far a side goes sideways for every row down.
            [$nx, $ny] = $length > 0 ? [($ay - $by) / $length * $r, ($bx - $ax) / $length * $r] : [0.0, 0.0];
            $slope = $ay === $by ? 0.0 : ($bx - $ax) / ($by - $ay);
            $top = min($ay, $by);
            $bottom = max($ay, $by);
            for ($y = max(0, (int) floor($top - $r)), $end = min($height - 1, (int) floor($bottom + $r)); $y <= $end; $y++) {
                $middle = $y + 0.5;
                $from = INF;
                $to = -INF;
                $square = $rr - ($middle - $ay) * ($middle - $ay);
                if ($square >= 0) {
                    $half = sqrt($square);
                    $from = $ax - $half;
                    $to = $ax + $half;
                }
                $square = $rr - ($middle - $by) * ($middle - $by);
                if ($square >= 0) {
                    $half = sqrt($square);
                    $from = $bx - $half < $from ? $bx - $half : $from;
                    $to = $bx + $half > $to ? $bx + $half : $to;
                }
                if ($slope !== 0.0 || $bottom > $top) {
                    $down = $middle - $ny;
                    if ($down >= $top && $down <= $bottom) {
                        $x = $ax + $nx + $slope * ($down - $ay);
                        $from = $x < $from ? $x : $from;
                        $to = $x > $to ? $x : $to;
                    }
                    $down = $middle + $ny;
                    if ($down >= $top && $down <= $bottom) {
                        $x = $ax - $nx + $slope * ($down - $ay);
                        $from = $x < $from ? $x : $from;
                        $to = $x > $to ? $x : $to;
                    }
                }
                $first = $from > 0.5 ? (int) ceil($from - 0.5) : 0;
                $last = $to < $width - 0.5 ? (int) floor($to - 0.5) : $width - 1;
                if ($from <= $to && $to >= 0.5 && $first <= $last) {
                    $changes[$y * $row + $first]++;
                    $changes[$y * $row + $last + 1]--;
                }
            }
        }

        return self::opened($changes, $width, $height);
    }

    /**
     * @param  array<int, int>  $changes  by place, a row one longer than the picture's: how many stretches begin less how many have ended
     * @return array<int, true> by pixel: where any is open
     */
    private static function opened(array $changes, int $width, int $height): array
    {
        $pixels = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0, $open = 0; $x < $width; $x++) {
                $open += $changes[$y * ($width + 1) + $x];
                if ($open > 0) {
                    $pixels[$y * $width + $x] = true;
                }
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
