<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Regions;

use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Pixels of like colour, wherever they are, and a little of like place: a picture is cut where it is widest, again and again, at the middle
 * of what is there (median cut; P. Heckbert, "Color image quantization for frame buffer display", SIGGRAPH 1982), so that the same picture
 * always begins alike.
 */
final class ColourClusters
{
    /** What L* and place count beside a* and b*; the longer side of the picture counts so many ΔE. */
    private const VALUE = 0.5;

    private const PLACE = 12.0;

    /** @return list<int> by pixel, numbered from 0 */
    public static function of(PixelGrid $grid, int $clusters): array
    {
        $side = max($grid->width, $grid->height);
        $channels = [array_map(static fn (float $l): float => self::VALUE * $l, $grid->l), $grid->a, $grid->b, [], []];
        for ($at = 0, $n = $grid->count(); $at < $n; $at++) {
            $channels[3][] = (self::PLACE * ($at % $grid->width)) / $side;
            $channels[4][] = (self::PLACE * intdiv($at, $grid->width)) / $side;
        }
        $boxes = [self::box(range(0, $grid->count() - 1), $channels)];
        while (count($boxes) < $clusters) {
            usort($boxes, static fn (array $a, array $b): int => $b[2] <=> $a[2]);
            if ($boxes[0][2] <= 0.0) {
                break;
            }
            [$pixels, $channel] = array_shift($boxes);
            $values = array_map(static fn (int $at): float => $channels[$channel][$at], $pixels);
            $mean = array_sum($values) / count($values);
            $below = array_values(array_filter($pixels, static fn (int $at): bool => $channels[$channel][$at] < $mean));
            $above = array_values(array_filter($pixels, static fn (int $at): bool => $channels[$channel][$at] >= $mean));
            array_push($boxes, self::box($below, $channels), self::box($above, $channels));
        }
        $labels = array_fill(0, $grid->count(), 0);
        foreach ($boxes as $number => [$pixels]) {
            foreach ($pixels as $at) {
                $labels[$at] = $number;
            }
        }

        return array_values($labels);
    }

    /**
     * @param  list<int>  $pixels
     * @param  list<list<float>|array<int, float>>  $channels
     * @return array{list<int>, int, float} pixels, the channel in which they differ most, and by how much all of them together
     */
    private static function box(array $pixels, array $channels): array
    {
        $widest = [0, 0.0];
        $n = count($pixels);
        foreach ($channels as $c => $channel) {
            [$sum, $squares] = [0.0, 0.0];
            foreach ($pixels as $at) {
                $sum += $channel[$at];
                $squares += $channel[$at] ** 2;
            }
            $all = $n === 0 ? 0.0 : $squares - ($sum * $sum) / $n;
            // Rounding leaves something of what is all alike.
            $widest = $all > $widest[1] && $all > 1e-6 * $n ? [$c, $all] : $widest;
        }

        return [$pixels, ...$widest];
    }
}
