<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Zones\Distance;
use KnottyPrism\Core\Photo\Zones\ZonePiece;

/** Zones of a picture at the size of the drawing. */
final class DeskZones
{
    /** Of a zone's largest piece: what is smaller is found on the way. */
    private const WORTH_A_NAME = 0.1;

    /**
     * @param  float  $wide  mm of the drawing
     * @param  float  $high  mm
     * @param  array<int, string>  $names  by zone
     * @param  array<int, float>  $lightness  L* of its middle value
     * @param  array<int, float>  $whites  share of it that is kept white; none where it is not said
     * @param  array<int, Distance>  $distances  middle where it is not said
     * @return array<int, DeskZone> by number
     */
    public static function of(
        LabelGrid $labels,
        float $wide,
        float $high,
        array $names,
        array $lightness,
        array $whites = [],
        array $distances = [],
    ): array {
        $mm2 = ($wide * $high) / ($labels->width * $labels->height);
        $zones = [];
        foreach ($labels->pixels() as $number => $pixels) {
            if (! isset($names[$number])) {
                continue;
            }
            [$x, $y] = $labels->middleOf($pixels);
            $pieces = ZonePiece::of($labels, $number);
            $worth = array_filter($pieces, static fn (ZonePiece $p): bool => $p->area >= self::WORTH_A_NAME * $pieces[0]->area);
            $places = array_map(
                static fn (ZonePiece $p): array => [$p->at[0] * $wide, $p->at[1] * $high, $p->where],
                array_values($worth),
            );
            $zones[$number] = new DeskZone(
                $number,
                $names[$number],
                $mm2 * count($pixels) * (1 - ($whites[$number] ?? 0.0)),
                $x * $wide,
                $y * $high,
                $lightness[$number] ?? 50.0,
                $distances[$number] ?? Distance::Middle,
                count($pieces),
                $places,
            );
        }
        ksort($zones);

        return $zones;
    }
}
