<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo;

use KnottyPrism\Core\Colour\Lab;

/** What a zone asks for: the medians of its value bands, which no glint, speck or stray border pixel moves. */
final class ZoneTargets
{
    /** Bands of the pixels by L*, as shares of their number. */
    private const BANDS = ['light' => [0.82, 0.96], 'mid' => [0.35, 0.65], 'dark' => [0.04, 0.18]];

    /** Roles closer than this, ΔE00, are one. */
    private const ALIKE = 2.0;

    /** An accent is this far from every other target, ΔE00, and this share of the zone, at least. */
    private const ACCENT_APART = 13.0;

    private const ACCENT_SHARE = 0.015;

    /**
     * @param  list<int>  $pixels  of the zone, at least one
     * @return array<string, Lab> by role; mid always
     */
    public static function of(PixelGrid $grid, array $pixels): array
    {
        usort($pixels, static fn (int $a, int $b): int => $grid->l[$a] <=> $grid->l[$b]);
        $targets = ['mid' => self::median($grid, self::band($pixels, self::BANDS['mid']))];
        foreach (['light', 'dark'] as $role) {
            $lab = self::median($grid, self::band($pixels, self::BANDS[$role]));
            if ($lab->deltaE00($targets['mid']) >= self::ALIKE) {
                $targets[$role] = $lab;
            }
        }
        $far = array_values(array_filter($pixels, static function (int $at) use ($grid, $targets): bool {
            foreach ($targets as $target) {
                if ($grid->lab($at)->deltaE00($target) < self::ACCENT_APART) {
                    return false;
                }
            }

            return true;
        }));
        if (count($far) >= self::ACCENT_SHARE * count($pixels) && count($far) > 3) {
            $targets['accent'] = self::median($grid, $far);
        }

        $order = array_flip(['light', 'mid', 'dark', 'accent']);
        uksort($targets, static fn (string $a, string $b): int => $order[$a] <=> $order[$b]);

        return $targets;
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
    private static function median(PixelGrid $grid, array $pixels): Lab
    {
        $of = static function (array $channel) use ($pixels): float {
            $values = array_map(static fn (int $at): float => $channel[$at], $pixels);
            sort($values);

            return $values[intdiv(count($values), 2)];
        };

        return new Lab($of($grid->l), $of($grid->a), $of($grid->b));
    }
}
