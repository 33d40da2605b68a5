<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour\Equations;

/** As many linear equations as unknowns, a few of them, by Gauss and Jordan with pivots. */
final class LinearSystem
{
    /** In place of a pivot that is none: what does not decide anything comes out huge, not as an error. */
    private const NOTHING = 1e-12;

    /**
     * @param  list<list<float>>  $rows  square
     * @param  list<float>  $right
     * @return list<float>
     */
    public static function solved(array $rows, array $right): array
    {
        $n = count($right);
        foreach ($right as $i => $b) {
            $rows[$i][] = $b;
        }
        for ($i = 0; $i < $n; $i++) {
            $pivot = $i;
            for ($j = $i + 1; $j < $n; $j++) {
                $pivot = abs($rows[$j][$i]) > abs($rows[$pivot][$i]) ? $j : $pivot;
            }
            [$rows[$i], $rows[$pivot]] = [$rows[$pivot], $rows[$i]];
            for ($j = 0; $j < $n; $j++) {
                if ($j !== $i) {
                    $factor = $rows[$j][$i] / ($rows[$i][$i] ?: self::NOTHING);
                    for ($k = $i; $k <= $n; $k++) {
                        $rows[$j][$k] -= $factor * $rows[$i][$k];
                    }
                }
            }
        }

        return array_map(static fn (int $i): float => $rows[$i][$n] / ($rows[$i][$i] ?: self::NOTHING), array_keys($right));
    }
}
