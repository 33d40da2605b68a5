<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Paper;

/**
 * The paper's surface as seen in a dab: a seamless square tile that says for every pixel which stratum shows there, all strata
 * on equal areas, peaks 0. Smoothed noise for the felt of the paper, with a slight slant in the direction of the strokes.
 */
final class Grain
{
    public const SIDE = 96;

    /** Shares of fine grain, coarse grain and slanting strokes in the height of the surface. */
    private const SHARES = [0.55, 0.30, 0.35];

    private const SEED = 20177;

    /** @return array<int, int> stratum of each pixel, row after row */
    public static function tile(): array
    {
        static $tile = null;

        return $tile ??= self::make();
    }

    /** @return array<int, int> */
    private static function make(): array
    {
        $n = self::SIDE;
        $noise = self::noise();
        $fine = self::blurred($noise, 1, 1);
        $coarse = self::blurred(array_reverse($noise), 3, 3);
        $height = [];
        foreach ($fine as $at => $value) {
            // Read along the falling diagonal, slowly to and fro across: strokes from lower left to upper right, without a seam.
            $x = $at % $n;
            $y = intdiv($at, $n);
            $height[$at] = self::SHARES[0] * $value + self::SHARES[1] * $coarse[$at] + self::SHARES[2] * $fine[(($y + $x) % $n) * $n + intdiv(abs(2 * $x - $n), 8)];
        }
        asort($height);
        $tile = array_fill(0, $n * $n, 0);
        foreach (array_keys($height) as $rank => $at) {
            $tile[$at] = min(Tooth::STRATA - 1, intdiv($rank * Tooth::STRATA, $n * $n));
        }

        return $tile;
    }

    /** @return list<float> the same noise on every machine: a linear congruential sequence (Park and Miller, 1988) */
    private static function noise(): array
    {
        $noise = [];
        $state = self::SEED;
        for ($i = self::SIDE ** 2; $i > 0; $i--) {
            $state = $state * 48271 % 2147483647;
            $noise[] = $state / 2147483647;
        }

        return $noise;
    }

    /**
     * Box blur on a torus, scaled to unit deviation.
     *
     * @param  list<float>  $field
     * @return list<float>
     */
    private static function blurred(array $field, int $across, int $down): array
    {
        $n = self::SIDE;
        $out = [];
        for ($y = 0; $y < $n; $y++) {
            for ($x = 0; $x < $n; $x++) {
                $sum = 0.0;
                for ($dy = -$down; $dy <= $down; $dy++) {
                    for ($dx = -$across; $dx <= $across; $dx++) {
                        $sum += $field[(($y + $dy + $n) % $n) * $n + ($x + $dx + $n) % $n];
                    }
                }
                $out[] = $sum;
            }
        }
        $mean = array_sum($out) / count($out);
        $deviation = sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $out)) / count($out));

        return array_map(static fn (float $v): float => ($v - $mean) / $deviation, $out);
    }
}
