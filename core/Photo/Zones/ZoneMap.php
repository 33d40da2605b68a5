<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Regions\BorderFit;
use KnottyPrism\Core\Photo\Regions\RegionMerge;
use KnottyPrism\Core\Photo\Regions\Superpixels;

/** A picture divided into zones: which zone each pixel belongs to, and what each zone asks for; the largest first. */
final readonly class ZoneMap
{
    public const FEWEST = 6;

    public const MOST = 20;

    private const PATCHES = 420;

    private const SMOOTHING_ROUNDS = 2;

    /** Pieces smaller than this share of the picture are joined to what surrounds them. */
    private const LEAST_PIECE = 0.002;

    /** @param  array<int, Zone>  $zones  by number, the largest first */
    public function __construct(public LabelGrid $labels, public array $zones)
    {
    }

    /**
     * Proposes zones.
     *
     * @param  int  $most  at most so many zones, 1–20; fewer where the picture has fewer
     *
     * @throws OutOfRange
     */
    public static function proposed(PixelGrid $grid, int $most = self::MOST): self
    {
        OutOfRange::check('the number of zones', $most, 1, self::MOST);
        $patches = Superpixels::of($grid, self::PATCHES);
        $regions = (new RegionMerge($grid, $patches))->to(min($most, self::FEWEST), $most);
        $smooth = Patchwork::smoothed(BorderFit::of($grid, $regions), $grid->width, $grid->height, self::SMOOTHING_ROUNDS);

        $pieces = Patchwork::joined($smooth, $grid->width, $grid->height, (int) ceil(self::LEAST_PIECE * $grid->count()));

        // Smoothing may cut a thin neck in two and so make a zone too many.
        return self::ofLabels($grid, count(array_unique($pieces)) > $most ? (new RegionMerge($grid, $pieces))->to($most, $most) : $pieces);
    }

    /** @param  array<int, int>  $labels  by pixel, whatever the numbers; zones are numbered from 1, the largest first */
    public static function ofLabels(PixelGrid $grid, array $labels): self
    {
        $pixels = [];
        foreach ($labels as $at => $label) {
            $pixels[$label][] = $at;
        }
        usort($pixels, static fn (array $a, array $b): int => count($b) <=> count($a));
        $zones = $names = [];
        $whites = (new KeptWhites)->on($grid);
        $byPixel = array_fill(0, $grid->count(), 0);
        foreach ($pixels as $index => $own) {
            $zones[$index + 1] = $zone = Zone::measured($grid, $own, taken: $names, whites: $whites);
            $names[] = $zone->name;
            foreach ($own as $at) {
                $byPixel[$at] = $index + 1;
            }
        }

        return new self(LabelGrid::ofNumbers($grid->width, $grid->height, $byPixel), $zones);
    }
}
