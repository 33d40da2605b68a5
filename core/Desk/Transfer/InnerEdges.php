<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Transfer;

use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Touch;
use KnottyPrism\Core\Photo\Zones\ZoneReading;

/** The main lines within zones, as one draws them before any pencil: where a form turns into its shadow, and round its touches. */
final class InnerEdges
{
    /** L* between a zone's middle value and its dark from which the shadow has an edge that is worth a line. */
    private const SHADOW = 8.0;

    /** Pieces smaller than this share of the picture are no line. */
    private const LEAST_PIECE = 0.0012;

    private const ROUNDS = 2;

    /**
     * @param  PixelGrid  $grid  the photo at the size of the labels
     * @param  array<int, ZoneReading>  $readings  by zone
     * @return list<list<float>> open lines, each x, y, x, y, … as shares of the photo
     */
    public static function of(LabelGrid $labels, PixelGrid $grid, array $readings): array
    {
        $lines = [];
        foreach ($labels->pixels() as $number => $pixels) {
            $zone = ($readings[$number] ?? null)?->zone;
            if ($zone === null) {
                continue;
            }
            [$mid, $dark] = [$zone->shades['mid'] ?? null, $zone->shades['dark'] ?? null];
            if ($mid !== null && $dark !== null && $mid->l - $dark->l > self::SHADOW) {
                $turn = ($mid->l + $dark->l) / 2;
                array_push(
                    $lines,
                    ...self::between($labels, $pixels, array_filter($pixels, static fn (int $at): bool => $grid->l[$at] < $turn)),
                );
            }
            array_push(
                $lines,
                ...array_merge(...array_map(static fn (Touch $t): array => self::between($labels, $pixels, $t->pixels), $zone->touches)),
            );
        }

        return $lines;
    }

    /**
     * @param  list<int>  $pixels  of the zone
     * @param  array<int>  $part  of them
     * @return list<list<float>> the lines between the part and the rest of the zone
     */
    private static function between(LabelGrid $labels, array $pixels, array $part): array
    {
        [$outside, $rest, $in] = [1, 2, 3];
        $numbers = array_values(
            array_replace(
                array_fill(0, $labels->width * $labels->height, $outside),
                array_fill_keys($pixels, $rest),
                array_fill_keys($part, $in),
            ),
        );
        $smooth = Patchwork::smoothed($numbers, $labels->width, $labels->height, self::ROUNDS);
        $pieces = Patchwork::joined(
            $smooth,
            $labels->width,
            $labels->height,
            (int) ceil(self::LEAST_PIECE * $labels->width * $labels->height),
        );
        // A piece is of the part or of the rest as most of it is; no line leaves the zone.
        $of = [];
        foreach ($pixels as $at) {
            $of[$pieces[$at]] = ($of[$pieces[$at]] ?? 0) + ($smooth[$at] === $in ? 1 : -1);
        }
        foreach ($pixels as $at) {
            $numbers[$at] = $of[$pieces[$at]] > 0 ? $in : $rest;
        }

        return (new Outlines(LabelGrid::ofNumbers($labels->width, $labels->height, $numbers)))->between($in, $rest);
    }
}
