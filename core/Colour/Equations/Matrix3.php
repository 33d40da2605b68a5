<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour\Equations;

/** Products and inverses of 3 × 3 matrices, given as rows. */
final class Matrix3
{
    /**
     * @param  list<list<float>>  $m
     * @return array{float, float, float}
     */
    public static function times(array $m, float $a, float $b, float $c): array
    {
        return [
            $m[0][0] * $a + $m[0][1] * $b + $m[0][2] * $c,
            $m[1][0] * $a + $m[1][1] * $b + $m[1][2] * $c,
            $m[2][0] * $a + $m[2][1] * $b + $m[2][2] * $c,
        ];
    }

    /**
     * @param  list<list<float>>  $m
     * @return list<list<float>>
     */
    public static function inverse(array $m): array
    {
        [[$a, $b, $c], [$d, $e, $f], [$g, $h, $i]] = $m;
        $det = $a * ($e * $i - $f * $h) - $b * ($d * $i - $f * $g) + $c * ($d * $h - $e * $g);

        return [
            [($e * $i - $f * $h) / $det, ($c * $h - $b * $i) / $det, ($b * $f - $c * $e) / $det],
            [($f * $g - $d * $i) / $det, ($a * $i - $c * $g) / $det, ($c * $d - $a * $f) / $det],
            [($d * $h - $e * $g) / $det, ($b * $g - $a * $h) / $det, ($a * $e - $b * $d) / $det],
        ];
    }
}
