<?php

declare(strict_types=1);

namespace Benchmarks\ByPlace;

use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ZoneMap;

/**
 * Zones as they were found before local colours: touching patches merged along weak edges, each zone one connected place. Kept to be
 * measured against.
 */
final class ZonesByPlace
{
    private const FEWEST = 6;

    private const PATCHES = 420;

    private const SMOOTHING_ROUNDS = 2;

    /** Pieces smaller than this share of the picture are joined to what surrounds them. */
    private const LEAST_PIECE = 0.002;

    public static function in(PixelGrid $grid, int $most): ZoneMap
    {
        $patches = Superpixels::of($grid, self::PATCHES);
        $regions = (new RegionMerge($grid, $patches))->to(min($most, self::FEWEST), $most);
        $smooth = Patchwork::smoothed(BorderFit::of($grid, $regions), $grid->width, $grid->height, self::SMOOTHING_ROUNDS);
        $pieces = Patchwork::joined($smooth, $grid->width, $grid->height, (int) ceil(self::LEAST_PIECE * $grid->count()));

        // Smoothing may cut a thin neck in two and so make a zone too many.
        return ZoneMap::ofLabels(
            $grid,
            count(array_unique($pieces)) > $most ? (new RegionMerge($grid, $pieces))->to($most, $most) : $pieces,
        );
    }
}
