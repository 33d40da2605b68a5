<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

/**
 * A short way through many places: the best of several nearest-neighbour ways is improved by reversing stretches and by moving short ones
 * (2-opt, G. A. Croes, 1958, and or-opt, I. Or, 1976), then kicked and improved again. An open way is a round trip through one more place
 * that is near to everything.
 */
final class ImprovedPath
{
    private const STARTS = 48;

    /** Nearest-neighbour ways that are improved, and kicks, up to so many places; fewer for more, as each takes the longer. */
    private const IMPROVED = 5;

    private const KICKS = 60;

    private const MANY = 40;

    /** Places that one kick may move; longer ways need no fewer. */
    private const LONGEST_MOVED = 3;

    private readonly int $count;

    private int $seed = 1;

    /** @param  list<list<float>>  $apart  between any two; the last row and column are the place near to everything */
    public function __construct(private readonly array $apart)
    {
        $this->count = count($apart) - 1;
    }

    /** @return list<int> */
    public function find(): array
    {
        $ways = [];
        for ($k = 0, $starts = min(self::STARTS, $this->count); $k < $starts; $k++) {
            $way = $this->nearestNeighbour(intdiv($k * $this->count, $starts));
            $ways[] = [$this->length($way), $way];
        }
        usort($ways, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $best = null;
        $least = INF;
        foreach (array_slice($ways, 0, $this->fewer(self::IMPROVED)) as [, $way]) {
            $way = $this->settled($way);
            if ($this->length($way) < $least) {
                [$best, $least] = [$way, $this->length($way)];
            }
        }
        $best ??= range(0, $this->count);
        for ($kick = 0; $kick < $this->fewer(self::KICKS); $kick++) {
            $way = $this->settled($this->kicked($best));
            if ($this->length($way) < $least - 1e-9) {
                [$best, $least] = [$way, $this->length($way)];
            }
        }
        // The round trip is opened at the place near to everything.
        $open = (int) array_search($this->count, $best, true);

        return [...array_slice($best, $open + 1), ...array_slice($best, 0, $open)];
    }

    /** @return list<int> a round trip, with the place near to everything in it */
    private function nearestNeighbour(int $start): array
    {
        $way = [$this->count, $start];
        $left = array_fill_keys(range(0, $this->count - 1), true);
        unset($left[$start]);
        for ($at = $start; $left !== []; $at = $next) {
            $next = -1;
            $least = INF;
            foreach ($left as $to => $_) {
                if ($this->apart[$at][$to] < $least) {
                    [$next, $least] = [$to, $this->apart[$at][$to]];
                }
            }
            $way[] = $next;
            unset($left[$next]);
        }

        return $way;
    }

    /**
     * Improved until no reversal and no move shortens it.
     *
     * @param  list<int>  $way
     * @return list<int>
     */
    private function settled(array $way): array
    {
        do {
            $before = $this->length($way);
            $way = $this->withMoves($this->withReversals($way));
        } while ($this->length($way) < $before - 1e-9);

        return $way;
    }

    /**
     * @param  list<int>  $way
     * @return list<int>
     */
    private function withReversals(array $way): array
    {
        $n = count($way);
        $d = $this->apart;
        for ($i = 0; $i < $n - 1; $i++) {
            for ($j = $i + 2; $j < $n; $j++) {
                [$a, $b, $c, $e] = [$way[$i], $way[$i + 1], $way[$j], $way[($j + 1) % $n]];
                if ($a !== $e && $d[$a][$c] + $d[$b][$e] < $d[$a][$b] + $d[$c][$e] - 1e-9) {
                    array_splice($way, $i + 1, $j - $i, array_reverse(array_slice($way, $i + 1, $j - $i)));
                }
            }
        }

        return $way;
    }

    /**
     * @param  list<int>  $way
     * @return list<int>
     */
    private function withMoves(array $way): array
    {
        $n = count($way);
        $d = $this->apart;
        for ($length = 1; $length <= self::LONGEST_MOVED; $length++) {
            for ($i = 1; $i + $length < $n; $i++) {
                [$a, $b, $c, $e] = [$way[$i - 1], $way[$i], $way[$i + $length - 1], $way[$i + $length]];
                $saved = $d[$a][$b] + $d[$c][$e] - $d[$a][$e];
                $rest = [...array_slice($way, 0, $i), ...array_slice($way, $i + $length)];
                $bestGain = 1e-9;
                $bestAt = null;
                $turned = false;
                foreach ($rest as $k => $f) {
                    $g = $rest[($k + 1) % count($rest)];
                    foreach ([[$b, $c, false], [$c, $b, true]] as [$head, $tail, $isTurned]) {
                        $gain = $saved - ($d[$f][$head] + $d[$tail][$g] - $d[$f][$g]);
                        if ($gain > $bestGain) {
                            [$bestGain, $bestAt, $turned] = [$gain, $k, $isTurned];
                        }
                    }
                }
                if ($bestAt !== null) {
                    $part = array_slice($way, $i, $length);
                    array_splice($rest, $bestAt + 1, 0, $turned ? array_reverse($part) : $part);
                    $way = $rest;
                }
            }
        }

        return array_values($way);
    }

    /**
     * Two stretches exchanged, which no reversal undoes (the double bridge of O. Martin, S. Otto and E. Felten, 1991).
     *
     * @param  list<int>  $way
     * @return list<int>
     */
    private function kicked(array $way): array
    {
        $n = count($way);
        $cuts = [$this->random($n - 1) + 1, $this->random($n - 1) + 1, $this->random($n - 1) + 1];
        sort($cuts);
        [$a, $b, $c] = $cuts;

        return [
            ...array_slice($way, 0, $a),
            ...array_slice($way, $b, $c - $b),
            ...array_slice($way, $a, $b - $a),
            ...array_slice($way, $c),
        ];
    }

    private function fewer(int $count): int
    {
        return max(1, (int) round($count * min(1.0, self::MANY / $this->count) ** 2));
    }

    /** The same drawer must always lie the same way, so chance is counted, not drawn. */
    private function random(int $below): int
    {
        $this->seed = ($this->seed * 1103515245 + 12345) % 2147483648;

        return intdiv($this->seed, 65536) % $below;
    }

    /** @param  list<int>  $way  a round trip */
    private function length(array $way): float
    {
        $sum = $this->apart[$way[count($way) - 1]][$way[0]];
        for ($i = 1, $n = count($way); $i < $n; $i++) {
            $sum += $this->apart[$way[$i - 1]][$way[$i]];
        }

        return $sum;
    }
}
