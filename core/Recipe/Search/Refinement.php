<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

/** Improves a stack by small changes, one at a time, while its price falls: another pressure, a near pencil, an order, a pass less. */
final readonly class Refinement
{
    private const ROUNDS = 4;

    /** Passes tried in place of one. */
    private const SUBSTITUTES = 5;

    /** Changes laid in a round. An order turned round is always among them: no forecast tells what it does. */
    private const TRIED = 9;

    /**
     * @param  list<int>  $firsts  the passes a stack may begin with
     * @param  int  $maxPasses  up to which a pass may be split into two softer ones
     */
    public function __construct(private StackSearch $search, private Forecast $forecast, private Pool $pool, private Rules $rules, private array $firsts, private int $maxPasses)
    {
    }

    /**
     * @param  \Closure(Candidate): float  $price  what is to fall
     * @param  int  $tried  changes laid in a round, of those that by forecast come nearest
     * @param  bool  $splits  whether a pass may become two: their errings partly cancel, which makes a stack steadier
     */
    public function improve(Candidate $best, \Closure $price, int $tried = self::TRIED, bool $splits = false): Candidate
    {
        $least = $price($best);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $from = $best;
            foreach ($this->promising($from, $tried, $splits) as [$below, $moves]) {
                $try = array_reduce($moves, $this->search->extend(...), $below);
                $this->pool->offer($try);
                $cost = $price($try);
                if ($cost < $least) {
                    [$best, $least] = [$try, $cost];
                }
            }
            if ($best === $from) {
                break;
            }
        }

        return $best;
    }

    /** @return list<array{Candidate, list<int>}> allowed changes, by forecast the nearest first */
    private function promising(Candidate $from, int $tried, bool $splits): array
    {
        $distance = $changes = [];
        foreach ($this->neighbours($from, $splits && count($from->moves) < $this->maxPasses) as [$below, $moves, $apart]) {
            if ($this->rules->allow([...$below->moves, ...$moves])) {
                $distance[] = $apart;
                $changes[] = [$below, $moves];
            }
        }
        array_multisort($distance, SORT_ASC, SORT_NUMERIC, array_keys($changes), $changes);

        return array_slice($changes, 0, $tried);
    }

    /** @return iterable<array{Candidate, list<int>, float}> what is laid already, the passes to lay on it, and how far by forecast that ends */
    private function neighbours(Candidate $from, bool $splits): iterable
    {
        $below = $this->search->bare;
        foreach ($from->moves as $i => $move) {
            $after = array_slice($from->moves, $i + 1);
            foreach ($this->replacements($move) as $other) {
                if ($i > 0 || in_array($other, $this->firsts, true)) {
                    yield [$below, [$other, ...$after], $this->forecast->exchanged($from, $move, [$other])];
                }
            }
            if ($i > 0 || ($after !== [] && in_array($after[0], $this->firsts, true))) {
                yield [$below, $after, $this->forecast->exchanged($from, $move, [])];
                if ($after !== []) {
                    yield [$below, [$after[0], $move, ...array_slice($after, 1)], 0.0];
                }
            }
            foreach ($splits ? $this->softer($move) : [] as $two) {
                if ($i > 0 || in_array($two[0], $this->firsts, true)) {
                    yield [$below, [...$two, ...$after], $this->forecast->exchanged($from, $move, $two)];
                }
            }
            $below = $this->search->extend($below, $move);
        }
    }

    /** @return list<array{int, int}> two passes of the same pencil, neither firmer than this one */
    private function softer(int $move): array
    {
        $first = $move - $move % Moves::MARKS;
        $two = [];
        for ($a = $first; $a <= $move; $a++) {
            for ($b = $first; $b <= $move; $b++) {
                $two[] = [$a, $b];
            }
        }

        return $two;
    }

    /** @return list<int> the pencil's other pressures, and passes of other pencils that do nearly the same */
    private function replacements(int $move): array
    {
        $first = $move - $move % Moves::MARKS;

        return array_values(array_diff([...range($first, $first + Moves::MARKS - 1), ...$this->forecast->alike($move, self::SUBSTITUTES)], [$move]));
    }
}
