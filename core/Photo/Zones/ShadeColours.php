<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** What a zone asks for: the medians of its value bands, which no glint, speck or stray border pixel moves. */
final class ShadeColours
{
    /** Bands of the pixels by L*, as shares of their number. */
    private const BANDS = ['light' => [0.82, 0.96], 'mid' => [0.35, 0.65], 'dark' => [0.04, 0.18]];

    /** Shades closer than this, ΔE00, are one. */
    private const ALIKE = 2.0;

    /** The ends of a zone's own values, as shares of its pixels by L*: beyond them lie glints and stray pixels. */
    private const ENDS = [0.02, 0.98];

    /** A moved shade is read from what is within this L* of its place, and from no less than this share of the zone. */
    private const NEAR_PLACE = 2.0;

    private const LEAST_SHARE = 0.02;

    /**
     * @param  list<int>  $pixels  of the zone, at least one
     * @param  array<string, float>  $places  of shades that were moved: 0 the zone's darkest, 1 its lightest
     * @param  list<ShadeName>  $dropped  of light and dark
     * @return array<string, Lab> by shade; mid always
     */
    public static function of(PixelGrid $grid, array $pixels, array $places = [], array $dropped = []): array
    {
        $pixels = self::byValue($grid, $pixels);
        $shades = [
            'mid' => isset($places['mid'])
                ? self::at($grid, $pixels, $places['mid'])
                : self::median($grid, self::band($pixels, self::BANDS['mid'])),
        ];
        foreach (array_diff(['light', 'dark'], array_map(static fn (ShadeName $r): string => $r->value, $dropped)) as $shade) {
            if (isset($places[$shade])) {
                $shades[$shade] = self::at($grid, $pixels, $places[$shade]);

                continue;
            }
            $lab = self::median($grid, self::band($pixels, self::BANDS[$shade]));
            if ($lab->deltaE00($shades['mid']) >= self::ALIKE) {
                $shades[$shade] = $lab;
            }
        }
        $order = array_flip(ShadeName::values());
        uksort($shades, static fn (string $a, string $b): int => $order[$a] <=> $order[$b]);

        return $shades;
    }

    /**
     * The colour of a zone at a place of its own values, 0 its darkest and 1 its lightest.
     *
     * @param  list<int>  $pixels  at least one
     */
    public static function atPlace(PixelGrid $grid, array $pixels, float $place): Lab
    {
        return self::at($grid, self::byValue($grid, $pixels), $place);
    }

    /**
     * The ends of a zone's own values.
     *
     * @param  list<int>  $pixels
     * @return array{float, float} L*
     */
    public static function range(PixelGrid $grid, array $pixels): array
    {
        return self::ends($grid, self::byValue($grid, $pixels));
    }

    /**
     * What a zone looks like along its own values, from its darkest to its lightest.
     *
     * @param  list<int>  $pixels
     * @return list<Lab>
     */
    public static function run(PixelGrid $grid, array $pixels, int $count): array
    {
        $pixels = self::byValue($grid, $pixels);

        return array_map(static fn (int $i): Lab => self::at($grid, $pixels, $i / ($count - 1)), range(0, $count - 1));
    }

    /**
     * The colour of a zone at a place of its own values: that of what lies near, with the value that was asked for.
     *
     * @param  list<int>  $pixels  darkest first
     */
    private static function at(PixelGrid $grid, array $pixels, float $place): Lab
    {
        [$dark, $light] = self::ends($grid, $pixels);
        $l = $dark + $place * ($light - $dark);
        $n = count($pixels);
        $least = min($n, max(3, (int) ceil(self::LEAST_SHARE * $n)));
        $from = self::firstFrom($grid, $pixels, $l - self::NEAR_PLACE);
        $to = self::firstFrom($grid, $pixels, $l + self::NEAR_PLACE);
        // Too few there: the window grows toward whichever side is nearer in value.
        while ($to - $from < $least) {
            $below = $from > 0 ? $l - $grid->l[$pixels[$from - 1]] : INF;
            $above = $to < $n ? $grid->l[$pixels[$to]] - $l : INF;
            $below <= $above ? $from-- : $to++;
        }
        $near = array_slice($pixels, $from, $to - $from);
        $median = self::median($grid, $near === [] ? [$pixels[0]] : $near);

        return new Lab($l, $median->a, $median->b);
    }

    /**
     * @param  list<int>  $pixels  darkest first
     * @return array{float, float} L*
     */
    private static function ends(PixelGrid $grid, array $pixels): array
    {
        return array_map(static fn (float $share): float => $grid->l[$pixels[(int) floor($share * (count($pixels) - 1))]], self::ENDS);
    }

    /**
     * Where the first pixel of at least some L* stands; the number of pixels when there is none.
     *
     * @param  list<int>  $pixels  darkest first
     */
    private static function firstFrom(PixelGrid $grid, array $pixels, float $l): int
    {
        [$low, $high] = [0, count($pixels)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $grid->l[$pixels[$middle]] < $l ? ($low = $middle + 1) : ($high = $middle);
        }

        return $low;
    }

    /**
     * @param  list<int>  $pixels
     * @return list<int> darkest first
     */
    private static function byValue(PixelGrid $grid, array $pixels): array
    {
        $lightness = array_map(static fn (int $at): float => $grid->l[$at], $pixels);
        array_multisort($lightness, SORT_ASC, SORT_NUMERIC, $pixels);

        return $pixels;
    }

    /**
     * @param  list<int>  $pixels  darkest first
     * @param  array{float, float}  $shares
     * @return non-empty-list<int>
     */
    private static function band(array $pixels, array $shares): array
    {
        $from = (int) floor($shares[0] * count($pixels));
        $band = array_slice($pixels, $from, max(1, (int) floor($shares[1] * count($pixels)) - $from));

        return $band === [] ? [$pixels[count($pixels) - 1]] : $band;
    }

    /** @param  non-empty-list<int>  $pixels */
    public static function median(PixelGrid $grid, array $pixels): Lab
    {
        $of = static function (array $channel) use ($pixels): float {
            $values = array_map(static fn (int $at): float => $channel[$at], $pixels);
            sort($values);

            return $values[intdiv(count($values), 2)];
        };

        return new Lab($of($grid->l), $of($grid->a), $of($grid->b));
    }
}
