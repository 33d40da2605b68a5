<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour\Equations;

/** Linear systems whose matrix has one constant beside its diagonal (Thomas algorithm). */
final class Tridiagonal
{
    /**
     * @param  array<int, float>  $diagonal
     * @param  float  $beside  the value on both sides of the diagonal
     * @param  array<int, float>  $right
     * @return array<int, float>
     */
    public static function solve(array $diagonal, float $beside, array $right): array
    {
        $n = count($diagonal);
        $c = [];
        $d = [];
        $pivot = $diagonal[0];
        $c[0] = $beside / $pivot;
        $d[0] = $right[0] / $pivot;
        for ($i = 1; $i < $n; $i++) {
            $pivot = $diagonal[$i] - $beside * $c[$i - 1];
            $c[$i] = $beside / $pivot;
            $d[$i] = ($right[$i] - $beside * $d[$i - 1]) / $pivot;
        }
        $x = array_fill(0, $n, 0.0);
        $x[$n - 1] = $d[$n - 1];
        for ($i = $n - 2; $i >= 0; $i--) {
            $x[$i] = $d[$i] - $c[$i] * $x[$i + 1];
        }

        return $x;
    }
}
