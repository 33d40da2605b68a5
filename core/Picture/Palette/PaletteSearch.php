<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Error\OutOfRange;

/**
 * Chooses K pencils for a whole picture. The best three are found by trying all; from them, and from none, a set grows greedily; then
 * single exchanges while they help.
 */
final class PaletteSearch
{
    /** Sets of three from which larger ones are grown. */
    private const STARTS = 16;

    public function __construct(public readonly SetCosts $costs, private readonly int $pencils)
    {
        OutOfRange::check('the number of pencils to choose from', $pencils, 1, 60);
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
        usort($found, fn (array $a, array $b): int => $this->costs->of($a) <=> $this->costs->of($b));

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
            $curve[$count] = $this->costs->of($set);
        }

        return $curve;
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
                    $costs[] = $this->costs->ofBits(1 << $a | 1 << $b | 1 << $c);
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
                $cost = $this->costs->of([...$set, $pencil]);
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
        $least = $this->costs->of($set);
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
                $cost = $this->costs->of($try);
                if ($cost < $least - 1e-9) {
                    [$best, $least] = [[$try, $cost], $cost];
                }
            }
        }

        return $best;
    }
}
