<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Photo\Borders\GradedBands;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** The pixels of a picture where two zones grade into each other, and how they are drawn over what lies on either side. */
final class DrawnBands
{
    /** Bytes a pixel: its place (32 bits, little-endian), the pair that is laid there (16), and the share of the first of them, 0–255. */
    private const BYTES = 7;

    /**
     * @param  array<int, int>  $runs  look of each zone's run, by zone
     * @param  string  $looks  of every pixel, see {@see Material}
     * @param  array{int, int}  $cells  width and height of the zones' grid
     * @return array{list<array{int, int}>, string} pairs of looks, and the pixels, see {@see Material}
     */
    public static function in(GradedBands $bands, array $runs, string $looks, PixelGrid $photo, Window $window, array $cells): array
    {
        $pairs = array_map(static fn (array $pair): array => [$runs[$pair[0]] ?? -1, $runs[$pair[1]] ?? -1], $bands->pairs);
        $columns = $window->columns($photo->width, $cells[0]);
        $ofCell = [];
        foreach ($columns as $x => $u) {
            $ofCell[(int) $u][] = $x;
        }
        $pixels = '';
        foreach ($window->rows($photo->height, $cells[1]) as $y => $v) {
            $from = (int) $v * $cells[0];
            foreach ($ofCell as $cell => $within) {
                $pair = $bands->pairAt($from + $cell);
                if ($pair === null || in_array(-1, $pairs[$pair], true)) {
                    continue;
                }
                $row = $bands->inRow($pair, $cell, $v);
                foreach ($within as $x) {
                    $at = $y * $photo->width + $x;
                    // A touch, and paper that is kept, are what they are in a band too.
                    if (in_array(ord($looks[$at]), $pairs[$pair], true)) {
                        $pixels .= pack('VvC', $at, $pair, (int) round(255 * GradedBands::between($row, $columns[$x] - $cell)));
                    }
                }
            }
        }

        return [$pairs, $pixels];
    }

    /**
     * @param  string  $drawn  sRGB, three bytes a pixel
     * @param  \Closure(array{int, int}): RunningOut  $laid  what lies between two looks
     * @param  \Closure(Tone): list<string>  $coloured  three bytes by place in the tooth
     */
    public static function over(string $drawn, Material $material, \Closure $laid, \Closure $coloured): string
    {
        [$bands, $levels, $grain] = [$material->bands, $material->levels, $material->grain];
        $runs = $colours = [];
        for ($i = 0, $n = strlen($bands); $i < $n; $i += self::BYTES) {
            $at = ord($bands[$i]) | ord($bands[$i + 1]) << 8 | ord($bands[$i + 2]) << 16 | ord($bands[$i + 3]) << 24;
            $pair = ord($bands[$i + 4]) | ord($bands[$i + 5]) << 8;
            // In sixteenths, and every other level: a band is narrow.
            [$share, $level] = [ord($bands[$i + 6]) + 8 >> 4, ord($levels[$at]) & ~1];
            $key = ($pair << 5 | $share) << 7 | $level;
            if (! isset($colours[$key])) {
                $runs[$pair] ??= $laid($material->pairs[$pair]);
                $colours[$key] = $coloured($runs[$pair]->at((float) $level, $share / 16));
            }
            $colour = $colours[$key][ord($grain[$at])];
            $drawn[3 * $at] = $colour[0];
            $drawn[3 * $at + 1] = $colour[1];
            $drawn[3 * $at + 2] = $colour[2];
        }

        return $drawn;
    }
}
