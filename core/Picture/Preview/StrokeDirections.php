<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Medium\Paper\PencilGrain;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Which way strokes run: along the form, as the photo's edges do around there (the structure tensor, J. Bigün and G. Granlund, 1987,
 * smoothed over patches of a zone); where a patch shows no direction, as a hand falls, from lower left to upper right.
 */
final class StrokeDirections
{
    /** Cells across a patch that is hatched in one direction. */
    private const PATCH = 6;

    private const WANDERS = 2.5;

    /** Patches to either side that count too, as much as they are of the same zone. */
    private const AROUND = 2;

    /** How clear a direction must be, 0–1. */
    private const CLEAR = 0.12;

    /** As a right hand falls, in twelfths of half a turn. */
    private const BY_HAND = 3;

    /**
     * @param  PixelGrid  $cells  the photo at the size of the zones' grid
     * @param  array<int, int>  $own  direction or circles that the artist wants, by zone
     * @return string a byte for every cell, see {@see PencilGrain::DIRECTIONS}
     */
    public static function of(LabelGrid $labels, PixelGrid $cells, array $own = []): string
    {
        $numbers = $labels->numbers();
        $tensors = self::tensors($cells, $numbers);
        $directions = $known = [];
        foreach ($numbers as $at => $zone) {
            [$x, $y] = [$at % $cells->width, intdiv($at, $cells->width)];
            // Patches are not squares: their borders wander by some cells.
            $patch = [
                intdiv((int) ($x + self::PATCH + self::WANDERS * sin(0.9 * $y + 0.37 * $x)), self::PATCH) - 1,
                intdiv((int) ($y + self::PATCH + self::WANDERS * sin(0.8 * $x - 0.41 * $y)), self::PATCH) - 1,
            ];
            $directions[] = chr(
                $own[$zone] ?? ($known["$zone/$patch[0]/$patch[1]"] ??= self::direction($tensors[$zone] ?? [], ...$patch)),
            );
        }

        return implode('', $directions);
    }

    /**
     * @param  array<int, int>  $numbers
     * @return array<int, array<int, array<int, array{float, float, float}>>> sums of Lx², Ly² and LxLy by zone, patch across and patch down
     */
    private static function tensors(PixelGrid $cells, array $numbers): array
    {
        $tensors = [];
        for ($y = 1; $y < $cells->height - 1; $y++) {
            for ($x = 1; $x < $cells->width - 1; $x++) {
                $at = $y * $cells->width + $x;
                $right = $cells->l[$at + 1] - $cells->l[$at - 1];
                $down = $cells->l[$at + $cells->width] - $cells->l[$at - $cells->width];
                $sum = $tensors[$numbers[$at]][intdiv($x, self::PATCH)][intdiv($y, self::PATCH)] ?? [0.0, 0.0, 0.0];
                $tensors[$numbers[$at]][intdiv($x, self::PATCH)][intdiv($y, self::PATCH)] = [
                    $sum[0] + $right * $right,
                    $sum[1] + $down * $down,
                    $sum[2] + $right * $down,
                ];
            }
        }

        return $tensors;
    }

    /** @param  array<int, array<int, array{float, float, float}>>  $tensors  of the zone */
    private static function direction(array $tensors, int $column, int $row): int
    {
        $xx = $yy = $xy = 0.0;
        for ($i = -self::AROUND; $i <= self::AROUND; $i++) {
            for ($j = -self::AROUND; $j <= self::AROUND; $j++) {
                [$x, $y, $both] = $tensors[$column + $i][$row + $j] ?? [0.0, 0.0, 0.0];
                $weight = 1 / (1 + $i * $i + $j * $j);
                $xx += $weight * $x;
                $yy += $weight * $y;
                $xy += $weight * $both;
            }
        }
        $clear = hypot($xx - $yy, 2 * $xy) / max(1e-9, $xx + $yy);
        if ($clear < self::CLEAR || $xx + $yy < 1.0) {
            return self::BY_HAND;
        }
        // Across the form the light changes most; strokes run along it.
        $across = 0.5 * atan2(2 * $xy, $xx - $yy);

        return PencilGrain::along(-sin($across), cos($across));
    }
}
