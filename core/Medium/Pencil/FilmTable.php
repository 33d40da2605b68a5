<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Pencil;

/**
 * Reflectance R_f and squared transmittance T² of one pencil's film at thicknesses 1/128 apart, computed when first asked for
 * and interpolated between. This is the product's hottest loop: a pass costs 216 of its band-steps and no exponential.
 *
 * Against the closed form of {@see Film::lay()} the reflectance of a stratum differs by less than 0.001 (tested).
 */
final class FilmTable
{
    private const STEPS_PER_UNIT = 128;

    /**
     * @var array<int, array{array<int, float>, array<int, float>, array<int, float>, array<int, float>}> row => per band: R_f and what it
     *   is more in the next row, T² and the same of it
     */
    private array $rows = [];

    /** @var array<int, array{array<int, float>, array<int, float>}> the same without the differences: a row is the next one's neighbour */
    private array $films = [];

    /**
     * @param  array<int, float>  $a  36 bands
     * @param  array<int, float>  $b  36 bands
     */
    public function __construct(private readonly array $a, private readonly array $b, private readonly float $scattering)
    {
    }

    /**
     * Lays film over all strata. Trusted: thickness ≥ 0 per stratum, reflectances 0–1.
     *
     * @param  array<int, float>  $reflectance  all strata, 36 bands each
     * @param  array<int, float>  $thickness  film units per stratum
     * @return array<int, float> the reflectance afterwards
     */
    public function over(array $reflectance, array $thickness): array
    {
        $at = 0;
        foreach ($thickness as $t) {
            $scaled = $t * self::STEPS_PER_UNIT;
            $row = (int) $scaled;
            $f = $scaled - $row;
            [$r0, $dr, $t0, $dt] = $this->rows[$row] ?? $this->fill($row);
            for ($i = 0; $i < 36; $i++, $at++) {
                $rf = $r0[$i] + $f * $dr[$i];
                $below = $reflectance[$at];
                $reflectance[$at] = $rf + (($t0[$i] + $f * $dt[$i]) * $below) / (1.0 - $rf * $below);
            }
        }

        return $reflectance;
    }

    /** @return array{array<int, float>, array<int, float>, array<int, float>, array<int, float>} */
    private function fill(int $row): array
    {
        [$r0, $t0] = $this->films[$row] ??= $this->at($row);
        [$r1, $t1] = $this->films[$row + 1] ??= $this->at($row + 1);
        $dr = $dt = [];
        for ($i = 0; $i < 36; $i++) {
            $dr[] = $r1[$i] - $r0[$i];
            $dt[] = $t1[$i] - $t0[$i];
        }

        return $this->rows[$row] = [$r0, $dr, $t0, $dt];
    }

    /** @return array{array<int, float>, array<int, float>} R_f and T² per band */
    private function at(int $row): array
    {
        $optical = ($this->scattering * $row) / self::STEPS_PER_UNIT;
        $reflected = $transmitted = [];
        for ($i = 0; $i < 36; $i++) {
            // Film::reflectanceAndTransmittance(), written out: a fit makes some thousand rows.
            $b = $this->b[$i];
            $e = exp(-$b * $optical);
            $e2 = $e * $e;
            $n = 1.0 / ($this->a[$i] * (1.0 - $e2) + $b * (1.0 + $e2));
            $t = 2.0 * $b * $e * $n;
            $reflected[] = (1.0 - $e2) * $n;
            $transmitted[] = $t * $t;
        }

        return [$reflected, $transmitted];
    }
}
