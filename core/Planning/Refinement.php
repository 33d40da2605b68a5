<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

/** Improves a stack by small changes, one at a time, while its price falls: another pressure, a near pencil, an order, a pass less. */
final readonly class Refinement
{
    private const ROUNDS = 4;

    /** Passes tried in place of one. */
    private const SUBSTITUTES = 5;

    /** @param  list<int>  $firsts  the passes a stack may begin with */
    public function __construct(private StackSearch $search, private Forecast $forecast, private Pool $pool, private Rules $rules, private array $firsts)
    {
    }

    /** @param  \Closure(Candidate): float  $price what is to fall */
    public function improve(Candidate $best, \Closure $price): Candidate
    {
        $least = $price($best);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $from = $best;
            foreach ($this->neighbours($from) as [$below, $moves]) {
                if (! $this->rules->allow([...$below->moves, ...$moves])) {
                    continue;
                }
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

    /** @return iterable<array{Candidate, list<int>}> what is laid already, and the passes to lay on it */
    private function neighbours(Candidate $from): iterable
    {
        $below = $this->search->bare;
        foreach ($from->moves as $i => $move) {
            $after = array_slice($from->moves, $i + 1);
            foreach ($this->replacements($move) as $other) {
                if ($i > 0 || in_array($other, $this->firsts, true)) {
                    yield [$below, [$other, ...$after]];
                }
            }
            if ($i > 0 || ($after !== [] && in_array($after[0], $this->firsts, true))) {
                yield [$below, $after];
                if ($after !== []) {
                    yield [$below, [$after[0], $move, ...array_slice($after, 1)]];
                }
            }
            $below = $this->search->extend($below, $move);
        }
    }

    /** @return list<int> the pencil's other pressures, and passes of other pencils that do nearly the same */
    private function replacements(int $move): array
    {
        $first = $move - $move % Moves::MARKS;

        return array_values(array_diff([...range($first, $first + Moves::MARKS - 1), ...$this->forecast->alike($move, self::SUBSTITUTES)], [$move]));
    }
}
