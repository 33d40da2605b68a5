<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Zones\Distance;

/** Zones of a picture at the size of the drawing. */
final class DeskZones
{
    /**
     * @param  float  $wide  mm of the drawing
     * @param  float  $high  mm
     * @param  array<int, string>  $names  by zone
     * @param  array<int, float>  $lightness  L* of its middle value
     * @param  array<int, float>  $whites  share of it that is kept white; none where it is not said
     * @param  array<int, Distance>  $distances  middle where it is not said
     * @return array<int, DeskZone> by number
     */
    public static function of(LabelGrid $labels, float $wide, float $high, array $names, array $lightness, array $whites = [], array $distances = []): array
    {
        $mm2 = $wide * $high / ($labels->width * $labels->height);
        $pieces = $labels->pieces();
        $zones = [];
        foreach ($labels->pixels() as $number => $pixels) {
            if (! isset($names[$number])) {
                continue;
            }
            [$x, $y] = $labels->middleOf($pixels);
            $zones[$number] = new DeskZone($number, $names[$number], $mm2 * count($pixels) * (1 - ($whites[$number] ?? 0.0)), $x * $wide, $y * $high, $lightness[$number] ?? 50.0, $distances[$number] ?? Distance::Middle, $pieces[$number]);
        }
        ksort($zones);

        return $zones;
    }
}
