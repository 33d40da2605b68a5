<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

/**
 * The shortest open way through a few places (M. Held, R. M. Karp, "A dynamic programming approach to sequencing problems", 1962): for
 * every set of places and every last one of it, the shortest way there. Time and memory double with every place.
 */
final class ExactPath
{
    /**
     * @param  list<list<float>>  $apart  between any two; the last row and column are a place near to everything
     * @return list<int> the places in the order of the way
     */
    public static function through(array $apart): array
    {
        $n = count($apart) - 1;
        $cost = $before = [];
        for ($i = 0; $i < $n; $i++) {
            $cost[1 << $i][$i] = 0.0;
        }
        for ($set = 1; $set < 1 << $n; $set++) {
            foreach ($cost[$set] ?? [] as $last => $length) {
                for ($next = 0; $next < $n; $next++) {
                    $with = $set | 1 << $next;
                    if ($with !== $set && $length + $apart[$last][$next] < ($cost[$with][$next] ?? INF)) {
                        $cost[$with][$next] = $length + $apart[$last][$next];
                        $before[$with][$next] = $last;
                    }
                }
            }
        }
        $set = (1 << $n) - 1;
        asort($cost[$set]);
        $at = (int) array_key_first($cost[$set]);
        $way = [$at];
        while (isset($before[$set][$at])) {
            [$set, $at] = [$set ^ 1 << $at, $before[$set][$at]];
            $way[] = $at;
        }

        return $way;
    }
}
