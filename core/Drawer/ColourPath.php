<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Colour\Lab;

/**
 * The shortest way through some colours that visits each once, by ΔE00 from one to the next: the exact optimum for a few, one that is
 * improved until nothing helps for many.
 */
final class ColourPath
{
    private const EXACT_UP_TO = 10;

    /** What leaving a run costs, ΔE00: more than any detour within it. */
    private const OUT_OF_RUN = 1000.0;

    /**
     * @param  list<Lab>  $colours
     * @param  list<string>  $runs  of each colour: the way stays in a run until all of it is visited; empty for one run
     * @return list<int> their places in the list, in the order of the way
     */
    public static function through(array $colours, array $runs = []): array
    {
        $n = count($colours);
        if ($n < 3) {
            return array_keys($colours);
        }
        $apart = self::apart($colours, $runs);

        return $n <= self::EXACT_UP_TO ? ExactPath::through($apart) : (new ImprovedPath($apart))->find();
    }

    /**
     * @param  list<Lab>  $colours
     * @param  list<string>  $runs
     * @return list<list<float>> ΔE00 between any two; the last row and column are a place near to everything
     */
    private static function apart(array $colours, array $runs): array
    {
        $count = count($colours);
        $apart = array_fill(0, $count + 1, array_fill(0, $count + 1, 0.0));
        foreach ($colours as $i => $one) {
            for ($j = 0; $j < $i; $j++) {
                $apart[$i][$j] = $apart[$j][$i] =
                    $one->deltaE00($colours[$j]) + (($runs[$i] ?? '') === ($runs[$j] ?? '') ? 0.0 : self::OUT_OF_RUN);
            }
        }

        return array_values(array_map(array_values(...), $apart));
    }
}
