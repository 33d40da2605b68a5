<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

use KnottyPrism\Core\Colour\Equations\Tridiagonal;

/**
 * The smoothest reflectance within (0, 1) that has a given colour.
 *
 * Minimises Σ(z[i+1] − z[i])² with R = (tanh z + 1)/2 subject to XYZ(R) = the wanted XYZ, by Newton's method on the
 * 36 + 3 equations of the Lagrangian. Source: S. A. Burns, "Numerical methods for smoothest reflectance reconstruction",
 * Color Research and Application 45 (2020), method "least hyperbolic tangent slope squared".
 */
final class SmoothestReflectance
{
    private const ITERATIONS = 60;

    private const CLOSE_ENOUGH = 1e-9;

    /** Reflectances of exactly 0 or 1 need an infinite z; colours are moved this far inside first. */
    private const MARGIN = 1e-5;

    private const LONGEST_STEP = 1.0;

    /** @return array<int, float> 36 bands, each within (0, 1) */
    public static function ofXyz(Xyz $xyz): array
    {
        $target = [$xyz->x, $xyz->y, $xyz->z];
        foreach (Xyz::WHITE as $k => $white) {
            $target[$k] = max(self::MARGIN * $white, min((1 - self::MARGIN) * $white, $target[$k]));
        }
        $grey = max(self::MARGIN, min(1 - self::MARGIN, $xyz->y));
        $z = array_fill(0, Observer::BANDS, atanh(2 * $grey - 1));
        $lambda = [0.0, 0.0, 0.0];
        for ($n = 0; $n < self::ITERATIONS; $n++) {
            if (self::improve($z, $lambda, $target) < self::CLOSE_ENOUGH) {
                break;
            }
        }

        return array_map(static fn (float $v): float => (tanh($v) + 1) / 2, $z);
    }

    /** @return array<int, float> 36 bands */
    public static function ofLab(Lab $lab): array
    {
        return self::ofXyz($lab->xyz());
    }

    /** @return array<int, float> 36 bands */
    public static function ofHex(string $hex): array
    {
        return self::ofXyz(Srgb::ofHex($hex)->xyz());
    }

    /**
     * One Newton step. The Hessian of the smoothness term is tridiagonal and the constraint adds only to its diagonal,
     * so the 39 × 39 system is solved by four tridiagonal solutions and a 3 × 3 Schur complement.
     *
     * @param  array<int, float>  $z  changed in place
     * @param  array{float, float, float}  $lambda  changed in place
     * @param  array{float, float, float}  $target
     * @return float the largest residual before the step
     */
    private static function improve(array &$z, array &$lambda, array $target): float
    {
        $n = Observer::BANDS;
        $w = Observer::weights();
        $diagonal = $gradient = [];
        $a = [[], [], []];
        $miss = [-$target[0], -$target[1], -$target[2]];
        for ($i = 0; $i < $n; $i++) {
            $th = tanh($z[$i]);
            $slope = (1 - $th * $th) / 2;
            $pull = 0.0;
            for ($k = 0; $k < 3; $k++) {
                $miss[$k] += ($w[$k][$i] * ($th + 1)) / 2;
                $a[$k][$i] = $w[$k][$i] * $slope;
                $pull += $lambda[$k] * $w[$k][$i];
            }
            $edges = $i === 0 || $i === $n - 1 ? 1 : 2;
            $left = $i > 0 ? $z[$i - 1] : 0.0;
            $right = $i < $n - 1 ? $z[$i + 1] : 0.0;
            $gradient[$i] = 2 * ($edges * $z[$i] - $left - $right) + $pull * $slope;
            // A sliver on the diagonal keeps the constant vector, which the smoothness term ignores, solvable.
            $diagonal[$i] = 2 * $edges - 2 * $th * $slope * $pull + 1e-7;
        }
        $residual = max(max(array_map(abs(...), $gradient)), max(array_map(abs(...), $miss)));

        $u = Tridiagonal::solve($diagonal, -2.0, $gradient);
        $v = [
            Tridiagonal::solve($diagonal, -2.0, $a[0]),
            Tridiagonal::solve($diagonal, -2.0, $a[1]),
            Tridiagonal::solve($diagonal, -2.0, $a[2]),
        ];
        $schur = [];
        $right = [];
        for ($k = 0; $k < 3; $k++) {
            for ($j = 0; $j < 3; $j++) {
                $schur[$k][$j] = self::dot($a[$k], $v[$j]);
            }
            $right[$k] = $miss[$k] - self::dot($a[$k], $u);
        }
        $step = self::solve3($schur, $right);
        $dz = [];
        for ($i = 0; $i < $n; $i++) {
            $dz[$i] = -$u[$i] - $step[0] * $v[0][$i] - $step[1] * $v[1][$i] - $step[2] * $v[2][$i];
        }
        // Strong colours start far from the answer; a bounded step keeps tanh out of its flat ends.
        $share = min(1.0, self::LONGEST_STEP / max(1e-12, max(array_map(abs(...), $dz))));
        for ($i = 0; $i < $n; $i++) {
            $z[$i] += $share * $dz[$i];
        }
        for ($k = 0; $k < 3; $k++) {
            $lambda[$k] += $share * $step[$k];
        }

        return $residual;
    }

    /**
     * @param  array<int, float>  $p
     * @param  array<int, float>  $q
     */
    private static function dot(array $p, array $q): float
    {
        $sum = 0.0;
        foreach ($p as $i => $value) {
            $sum += $value * $q[$i];
        }

        return $sum;
    }

    /**
     * Cramer's rule.
     *
     * @param  array<int, array<int, float>>  $m
     * @param  array<int, float>  $r
     * @return array{float, float, float}
     */
    private static function solve3(array $m, array $r): array
    {
        $det = static fn (array $c0, array $c1, array $c2): float => $c0[0] * ($c1[1] * $c2[2] - $c2[1] * $c1[2]) -
            $c1[0] * ($c0[1] * $c2[2] - $c2[1] * $c0[2]) +
            $c2[0] * ($c0[1] * $c1[2] - $c1[1] * $c0[2]);
        $c = [array_column($m, 0), array_column($m, 1), array_column($m, 2)];
        $d = $det(...$c);

        return [$det($r, $c[1], $c[2]) / $d, $det($c[0], $r, $c[2]) / $d, $det($c[0], $c[1], $r) / $d];
    }
}
