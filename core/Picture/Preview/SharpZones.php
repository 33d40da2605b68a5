<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Zones at the size of a picture: within a cell of the zones' grid whose neighbours belong to others too, each pixel goes to the zone whose
 * colour around there it has, or nearly has and lies nearer to. Borders then follow the photo's own edges and not the grid's.
 */
final class SharpZones
{
    /** A whole cell's distance weighs as much as this difference of colour, in CIELAB. */
    private const PER_CELL = 9.0;

    /** Cells around one that say what colour a zone has there. */
    private const AROUND = 2;

    /**
     * @param  PixelGrid  $cells  the photo at the size of the zones' grid
     * @param  PixelGrid  $photo  a window of it as it is drawn
     * @return string the number of a zone for every pixel of the photo, a byte each
     */
    public static function in(LabelGrid $labels, PixelGrid $cells, PixelGrid $photo, Window $window): string
    {
        $numbers = $labels->numbers();
        [$across, $down] = [$labels->width, $labels->height];
        $columns = $window->columns($photo->width, $across);
        $runs = self::runs($columns);
        [$width, $lightness, $reds, $blues] = [$photo->width, $photo->l, $photo->a, $photo->b];
        $candidates = [];
        $sharp = '';
        foreach ($window->rows($photo->height, $down) as $y => $v) {
            $row = (int) $v * $across;
            foreach ($runs as [$column, $from, $to]) {
                $near = $candidates[$row + $column] ??= self::around($numbers, $cells, $across, $down, $row + $column);
                if (count($near) === 1) {
                    $sharp .= str_repeat($near[0][0], $to - $from);

                    continue;
                }
                // Plain, as a quarter of all pixels lie near a border.
                for ($x = $from; $x < $to; $x++) {
                    $at = $y * $width + $x;
                    $u = $columns[$x];
                    $best = '';
                    $least = INF;
                    foreach ($near as [$byte, $l, $a, $b, $places]) {
                        [$dl, $da, $db] = [$lightness[$at] - $l, $reds[$at] - $a, $blues[$at] - $b];
                        $cost = $dl * $dl + $da * $da + $db * $db;
                        if ($cost >= $least) {
                            continue;
                        }
                        $distance = INF;
                        foreach ($places as [$cx, $cy]) {
                            $apart = ($u - $cx) * ($u - $cx) + ($v - $cy) * ($v - $cy);
                            if ($apart < $distance) {
                                $distance = $apart;
                            }
                        }
                        $cost += self::PER_CELL ** 2 * $distance;
                        if ($cost < $least) {
                            $least = $cost;
                            $best = $byte;
                        }
                    }
                    $sharp .= $best;
                }
            }
        }

        return $sharp;
    }

    /**
     * @param  list<float>  $columns  place of each pixel of a row, in cells
     * @return list<array{int, int, int}> the cells of a row, each with its first pixel and the one after its last
     */
    private static function runs(array $columns): array
    {
        $runs = [];
        $from = 0;
        foreach ($columns as $x => $u) {
            if (! isset($columns[$x + 1]) || (int) $columns[$x + 1] !== (int) $u) {
                $runs[] = [(int) $u, $from, $x + 1];
                $from = $x + 1;
            }
        }

        return $runs;
    }

    /**
     * The zones that a cell and those that touch it belong to, with their colour around there and where they lie.
     *
     * @param  array<int, int>  $numbers
     * @return non-empty-list<array{string, float, float, float, list<array{float, float}>}> one alone where there is no other
     */
    private static function around(array $numbers, PixelGrid $cells, int $across, int $down, int $cell): array
    {
        [$cx, $cy] = [$cell % $across, intdiv($cell, $across)];
        $places = [];
        for ($y = max(0, $cy - 1); $y <= min($down - 1, $cy + 1); $y++) {
            for ($x = max(0, $cx - 1); $x <= min($across - 1, $cx + 1); $x++) {
                $places[$numbers[$y * $across + $x]][] = [$x + 0.5, $y + 0.5];
            }
        }
        if (count($places) < 2) {
            return [[chr($numbers[$cell]), 0.0, 0.0, 0.0, []]];
        }
        $sums = [];
        for ($y = max(0, $cy - self::AROUND); $y <= min($down - 1, $cy + self::AROUND); $y++) {
            for ($x = max(0, $cx - self::AROUND); $x <= min($across - 1, $cx + self::AROUND); $x++) {
                $at = $y * $across + $x;
                $zone = $numbers[$at];
                $sum = $sums[$zone] ?? [0.0, 0.0, 0.0, 0];
                $sums[$zone] = [$sum[0] + $cells->l[$at], $sum[1] + $cells->a[$at], $sum[2] + $cells->b[$at], $sum[3] + 1];
            }
        }
        $near = [];
        foreach ($places as $zone => $where) {
            [$l, $a, $b, $n] = $sums[$zone];
            $near[] = [chr($zone), $l / $n, $a / $n, $b / $n, $where];
        }

        return $near;
    }
}
