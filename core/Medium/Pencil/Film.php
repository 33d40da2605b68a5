<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Pencil;

/**
 * A translucent film on what lies below it.
 *
 * Source: P. Kubelka, "New contributions to the optics of intensely light-scattering materials, Part I", J. Opt. Soc. Am. 38
 * (1948), eqs. for R and T of a finite layer, and "Part II", J. Opt. Soc. Am. 44 (1954), for layers upon each other:
 * R_f = sinh(bSt) / (a·sinh(bSt) + b·cosh(bSt)), T = b / (the same), R = R_f + T²·R_below / (1 − R_f·R_below).
 */
final class Film
{
    /**
     * Lays one film over a stratum, in place, by the closed form. Figures are trusted: reflectances 0–1, thickness ≥ 0, S > 0.
     * Passes use {@see FilmTable}, which is the same faster.
     *
     * @param  array<int, float>  $reflectance  all strata, band after band; changed
     * @param  int  $offset  where the stratum begins
     * @param  array<int, float>  $a  36 bands
     * @param  array<int, float>  $b  36 bands
     * @param  float  $optical  S·t
     */
    public static function lay(array &$reflectance, int $offset, array $a, array $b, float $optical): void
    {
        // R_f and T put into R give one fraction; the search lays this tens of thousands of times a second.
        for ($i = 0, $at = $offset; $i < 36; $i++, $at++) {
            $e2 = exp(-2.0 * $b[$i] * $optical);
            $through = $b[$i] * (1.0 + $e2);
            $back = 1.0 - $e2;
            $below = $reflectance[$at];
            $reflectance[$at] = ($back * (1.0 - $a[$i] * $below) + $through * $below) / ($back * ($a[$i] - $below) + $through);
        }
    }

    /**
     * R_f and T of a film on its own in one band. The hyperbolic functions are written with e = exp(−bSt), which can't
     * overflow: R_f = (1 − e²)/N and T = 2be/N with N = a(1 − e²) + b(1 + e²).
     *
     * @param  float  $optical  S·t
     * @return array{float, float}
     */
    public static function reflectanceAndTransmittance(float $a, float $b, float $optical): array
    {
        $e = exp(-$b * $optical);
        $e2 = $e * $e;
        $n = 1.0 / ($a * (1.0 - $e2) + $b * (1.0 + $e2));

        return [(1.0 - $e2) * $n, 2.0 * $b * $e * $n];
    }

    /**
     * @param  array<int, float>  $absorption  K per band
     * @return array{array<int, float>, array<int, float>} a and b
     */
    public static function coefficients(array $absorption, float $scattering): array
    {
        $a = $b = [];
        foreach ($absorption as $k) {
            $ratio = max(1e-9, $k / $scattering);
            $a[] = 1 + $ratio;
            // √((1 + r)² − 1) without the cancellation for a small r
            $b[] = sqrt($ratio * ($ratio + 2));
        }

        return [$a, $b];
    }
}
