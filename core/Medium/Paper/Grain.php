<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Paper;

/**
 * The paper's surface as seen in a dab: a tile that says for every pixel which stratum shows there, all strata on equal areas, peaks 0. A
 * piece of {@see PencilGrain} at the density of a screen's dabs, in strokes as a right hand lays them; larger than a dab, so that none
 * shows it twice.
 */
final class Grain
{
    public const SIDE = 240;

    /** A dab is shown at two pixels for each of the page's, some 0.26 mm. */
    private const MM_PER_PIXEL = 0.13;

    private const DIRECTION = 3;

    /** @return array<int, int> stratum of each pixel, row after row */
    public static function tile(): array
    {
        static $tile = null;

        return $tile ??= self::make();
    }

    /** @return array<int, int> */
    private static function make(): array
    {
        $one = array_fill(0, self::SIDE, 0);
        $heights = PencilGrain::heights(self::MM_PER_PIXEL, 10.0, 10.0, $one, $one, chr(self::DIRECTION), 1);
        asort($heights);
        $tile = array_fill(0, self::SIDE ** 2, 0);
        foreach (array_keys($heights) as $rank => $at) {
            $tile[$at] = intdiv($rank * Tooth::STRATA, self::SIDE ** 2);
        }

        return $tile;
    }
}
