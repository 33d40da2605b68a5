<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Recipe\Search\Forecast;

/**
 * Chooses K pencils for a whole picture. Once for every target the forecast gives the nearest stack of every one, two or three
 * pencils; what a set of pencils costs is then a look-up: for each target the nearest stack whose pencils are all in the set,
 * weighted by area. The best three are found by trying all; from them, and from none, a set grows greedily; then single
 * exchanges while they help.
 */
final class PaletteSearch
{
    /** Price of a target that nothing in a set comes near, ΔE00. */
    private const HOPELESS = 40.0;

    /** Sets of three from which larger ones are grown. */
    private const STARTS = 16;

    /** @var list<array<int, float>> per target: ΔE00 by the set of pencils as bits, nearest first */
    private array $nearest = [];

    /** @var list<float> */
    private array $weights = [];

    private float $weight = 0.0;

    public function __construct(private readonly int $pencils)
    {
        OutOfRange::check('the number of pencils to choose from', $pencils, 1, 60);
    }

    /** @param  float  $weight  area of the target times its importance, above 0 */
    public function add(Forecast $forecast, float $weight): void
    {
        $nearest = $forecast->nearestOfEverySet();
        asort($nearest);
        $this->nearest[] = self::worthKeeping($nearest);
        $this->weights[] = $weight;
        $this->weight += $weight;
    }

    /**
     * @param  list<int>  $set  pencils
     * @return float mean ΔE00 over the picture
     */
    public function cost(array $set): float
    {
        return $this->costOfBits(self::bits($set));
    }

    /**
     * @param  list<int>  $in  pencils locked in
     * @param  list<int>  $out  pencils locked out
     * @return list<int> the pencils chosen, by their place; fewer where there are not so many
     */
    public function best(int $count, array $in = [], array $out = []): array
    {
        $starts = [$this->greedy($count, $in, $out)];
        if ($in === [] && $count >= 3) {
            array_push($starts, ...array_map(fn (array $three): array => $this->greedy($count, $three, $out), $this->bestThrees($out)));
        }
        $found = array_map(fn (array $start): array => $this->exchanged($start, $in, $out), $starts);
        usort($found, fn (array $a, array $b): int => $this->cost($a) <=> $this->cost($b));

        return $found[0];
    }

    /**
     * The cost of every number of pencils, each grown out of the one before it.
     *
     * @return array<int, float> mean ΔE00 by the number of pencils
     */
    public function curve(int $fewest, int $most): array
    {
        $curve = [];
        $set = $fewest >= 3 ? $this->bestThrees([])[0] : [];
        for ($count = $fewest; $count <= min($most, $this->pencils); $count++) {
            $set = $this->exchanged($this->greedy($count, $set, []), [], []);
            $curve[$count] = $this->cost($set);
        }

        return $curve;
    }

    /**
     * @param  list<int>  $set
     * @return list<float> ΔE00 of each target with a set of pencils
     */
    public function costs(array $set): array
    {
        $bits = self::bits($set);

        return array_map(static fn (array $nearest): float => self::least($nearest, $bits), $this->nearest);
    }

    /**
     * All of them tried: three pencils decide more than any later one.
     *
     * @param  list<int>  $out
     * @return non-empty-list<list<int>> the best first
     */
    private function bestThrees(array $out): array
    {
        $free = array_values(array_diff(range(0, $this->pencils - 1), $out));
        $costs = [];
        $threes = [];
        foreach ($free as $i => $a) {
            foreach (array_slice($free, $i + 1) as $j => $b) {
                foreach (array_slice($free, $i + $j + 2) as $c) {
                    $costs[] = $this->costOfBits(1 << $a | 1 << $b | 1 << $c);
                    $threes[] = [$a, $b, $c];
                }
            }
        }
        array_multisort($costs, SORT_ASC, SORT_NUMERIC, $threes);

        return $threes === [] ? [array_slice($free, 0, 3)] : array_slice($threes, 0, self::STARTS);
    }

    /**
     * @param  list<int>  $in
     * @param  list<int>  $out
     * @return list<int>
     */
    private function greedy(int $count, array $in, array $out): array
    {
        $set = $in;
        while (count($set) < $count) {
            $best = null;
            $least = INF;
            for ($pencil = 0; $pencil < $this->pencils; $pencil++) {
                if (in_array($pencil, $set, true) || in_array($pencil, $out, true)) {
                    continue;
                }
                $cost = $this->costOfBits(self::bits([...$set, $pencil]));
                if ($cost < $least) {
                    [$best, $least] = [$pencil, $cost];
                }
            }
            if ($best === null) {
                break;
            }
            $set[] = $best;
        }

        return $set;
    }

    /**
     * Exchanges one pencil for another while the cost falls.
     *
     * @param  list<int>  $set
     * @param  list<int>  $in
     * @param  list<int>  $out
     * @return list<int>
     */
    private function exchanged(array $set, array $in, array $out): array
    {
        $least = $this->cost($set);
        do {
            $better = $this->betterByOne($set, $in, $out, $least);
            if ($better !== null) {
                [$set, $least] = $better;
            }
        } while ($better !== null);
        sort($set);

        return $set;
    }

    /**
     * @param  list<int>  $set
     * @param  list<int>  $in
     * @param  list<int>  $out
     * @return array{list<int>, float}|null
     */
    private function betterByOne(array $set, array $in, array $out, float $least): ?array
    {
        $best = null;
        foreach ($set as $at => $old) {
            if (in_array($old, $in, true)) {
                continue;
            }
            for ($new = 0; $new < $this->pencils; $new++) {
                if (in_array($new, $set, true) || in_array($new, $out, true)) {
                    continue;
                }
                $try = array_values(array_replace($set, [$at => $new]));
                $cost = $this->cost($try);
                if ($cost < $least - 1e-9) {
                    [$best, $least] = [[$try, $cost], $cost];
                }
            }
        }

        return $best;
    }

    /**
     * Leaves out every set that needs more pencils than a nearer one does.
     *
     * @param  array<int, float>  $nearest  nearest first
     * @return array<int, float>
     */
    private static function worthKeeping(array $nearest): array
    {
        $kept = [];
        foreach ($nearest as $needed => $apart) {
            // All parts of a set of up to three: the subsets of a bit mask, by counting down through it.
            for ($part = ($needed - 1) & $needed; $part > 0; $part = ($part - 1) & $needed) {
                if (isset($kept[$part])) {
                    continue 2;
                }
            }
            $kept[$needed] = $apart;
        }

        return $kept;
    }

    private function costOfBits(int $bits): float
    {
        $sum = 0.0;
        foreach ($this->nearest as $target => $nearest) {
            $sum += $this->weights[$target] * self::least($nearest, $bits);
        }

        return $this->weight > 0 ? $sum / $this->weight : 0.0;
    }

    /** @param  array<int, float>  $nearest  nearest first */
    private static function least(array $nearest, int $bits): float
    {
        foreach ($nearest as $needed => $apart) {
            if (($needed & ~$bits) === 0) {
                return min(self::HOPELESS, $apart);
            }
        }

        return self::HOPELESS;
    }

    /** @param  list<int>  $set */
    private static function bits(array $set): int
    {
        $bits = 0;
        foreach ($set as $pencil) {
            $bits |= 1 << $pencil;
        }

        return $bits;
    }
}
