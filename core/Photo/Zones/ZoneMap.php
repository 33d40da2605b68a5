<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Regions\LocalColours;

/** A picture divided into zones: which zone each pixel belongs to, and what each zone asks for; the largest first. */
final readonly class ZoneMap
{
    public const MOST = 20;

    /** @param  array<int, Zone>  $zones  by number, the largest first */
    public function __construct(public LabelGrid $labels, public array $zones)
    {
    }

    /**
     * Proposes zones: what one material's light and shade would explain is one, in as many pieces as it has ({@see LocalColours}).
     *
     * @param  int  $most  at most so many zones, 1–20; fewer where the picture has fewer
     *
     * @throws OutOfRange
     */
    public static function proposed(PixelGrid $grid, int $most = self::MOST): self
    {
        OutOfRange::check('the number of zones', $most, 1, self::MOST);

        return self::ofLabels($grid, LocalColours::of($grid, $most));
    }

    /**
     * @param  array<int, Surface>  $surfaces  what zones are, by number, where someone knows better than the photo
     *
     * @throws ImpossibleChange for a zone that is not there
     */
    public function being(array $surfaces): self
    {
        $zones = $this->zones;
        foreach ($surfaces as $number => $surface) {
            $zones[$number] = ($zones[$number] ?? throw ImpossibleChange::unknown('zone'))->being($surface);
        }

        return new self($this->labels, $zones);
    }

    /** @param  array<int, int>  $labels  by pixel, whatever the numbers; zones are numbered from 1, the largest first */
    public static function ofLabels(PixelGrid $grid, array $labels): self
    {
        $pixels = [];
        foreach ($labels as $at => $label) {
            $pixels[$label][] = $at;
        }
        usort($pixels, static fn (array $a, array $b): int => count($b) <=> count($a));
        $whites = (new KeptWhites())->on($grid);
        $byPixel = array_fill(0, $grid->count(), 0);
        foreach ($pixels as $index => $own) {
            foreach ($own as $at) {
                $byPixel[$at] = $index + 1;
            }
        }
        $map = LabelGrid::ofNumbers($grid->width, $grid->height, $byPixel);
        $measured = array_map(static fn (array $own): Zone => Zone::measured($grid, $own, whites: $whites), $pixels);
        $names = ZoneName::all(
            array_map(static fn (Zone $zone, array $own): array => [$zone->shades['mid'], $map->middleOf($own)], $measured, $pixels),
        );
        $zones = [];
        foreach ($measured as $index => $zone) {
            $zones[$index + 1] = $zone->named($names[$index]);
        }

        return new self($map, $zones);
    }
}
