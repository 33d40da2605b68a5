<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Medium\Laying\Sheet;

/**
 * Searches stacks for one target. All stacks of up to three passes are forecast, the nearest are laid; the nearest of those are
 * grown by the passes that the forecast names, up to the number allowed. Everything that was laid is offered to the pool.
 */
final readonly class StackSearch
{
    /** Stacks laid of each length, out of all that are forecast. */
    private const SINGLES = 8;

    private const PAIRS = 24;

    private const TRIPLES = 150;

    private const TRIPLES_MENDED = 110;

    /** Forecast triples among which those of few pencils are looked for, and how many of them are laid besides. */
    private const TRIPLES_SIFTED = 2000;

    private const PLAIN_TRIPLES = 14;

    /** Up to so many first passes are forecast at all their marks. */
    private const ALL_MARKS = 60;

    /** Stacks that grow by a further pass, at most so many with the same pencils, and the passes tried on each. */
    private const GROWN = 36;

    private const GROWN_ALIKE = 3;

    private const TRIED = 7;

    /** A sheet with less room than this takes no further pass. */
    private const LEAST_ROOM = 0.04;

    public Candidate $bare;

    private LaidSheets $sheets;

    public function __construct(private Moves $moves, private Forecast $forecast, private Pool $pool, private Rules $rules, ?LaidSheets $sheets = null, private float $effort = 1.0)
    {
        $this->sheets = $sheets ?? new LaidSheets($moves);
        $this->bare = Candidate::bare(new Sheet($moves->paper), $forecast->target);
    }

    /** @param  list<int>  $firsts  the passes a stack may begin with */
    public function run(array $firsts, int $maxPasses): void
    {
        foreach ($this->forecast->singles($firsts, $maxPasses === 1 ? count($firsts) : self::SINGLES) as $a) {
            $this->laid([$a]);
        }
        if ($maxPasses < 2) {
            return;
        }
        $laid = [];
        foreach ($this->forecast->pairs($firsts, self::PAIRS) as $pair) {
            $laid[] = $this->laid($pair);
        }
        if ($maxPasses > 2) {
            $laid = [...$laid, ...$this->triples($firsts)];
        }
        for ($passes = 4; $passes <= $maxPasses; $passes++) {
            $laid = $this->grown($laid, $passes);
        }
    }

    /** Lays one more pass. */
    public function extend(Candidate $from, int $move): Candidate
    {
        [$sheet, $look] = $this->sheets->onto($from->sheet, $from->moves, $move);
        $sway = $from->sway + $this->forecast->sway($from->look, $look, $move % Moves::MARKS);

        return new Candidate([...$from->moves, $move], $sheet, $look, $this->forecast->apart($look), $sway);
    }

    /**
     * The nearest triples by forecast are laid first. How they came out beside it says how all stacks of the same three pencils will
     * come out, at any pressures; the second half is chosen by the forecast so mended.
     *
     * @param  list<int>  $firsts
     * @return list<Candidate>
     */
    private function triples(array $firsts): array
    {
        $n = count($this->moves->passes);
        // First passes of many pencils are forecast at every other mark: refinement finds the marks between.
        $firsts = count($firsts) <= self::ALL_MARKS ? $firsts : array_values(array_filter($firsts, static fn (int $m): bool => $m % Moves::MARKS % 2 === 0));
        $stacks = [];
        foreach (array_keys($this->forecast->triples($firsts, self::TRIPLES_SIFTED)) as $key) {
            $stack = [intdiv($key, $n * $n), intdiv($key, $n) % $n, $key % $n];
            if ($this->rules->allow($stack)) {
                $stacks[] = $stack;
            }
        }
        $few = array_filter(array_slice($stacks, $this->some(self::TRIPLES)), self::isOfFewPencils(...));
        $laid = $this->layTriples([...array_slice($stacks, 0, $this->some(self::TRIPLES)), ...array_slice($few, 0, $this->some(self::PLAIN_TRIPLES))]);
        $mended = $this->mended(array_slice($stacks, $this->some(self::TRIPLES)), $laid);

        return [...$laid, ...$this->layTriples(array_slice($mended, 0, $this->some(self::TRIPLES_MENDED)))];
    }

    /**
     * @param  list<array{int, int, int}>  $stacks
     * @param  list<Candidate>  $laid
     * @return list<array{int, int, int}> those whose pencils have been laid, nearest first by the mended forecast
     */
    private function mended(array $stacks, array $laid): array
    {
        $misses = [];
        foreach ($laid as $candidate) {
            [$a, $b, $c] = $candidate->moves;
            [$p, $q] = [$this->forecast->predicted($a, $b, $c), $this->forecast->ended($candidate)];
            $misses[self::pencilsKey($candidate->moves)][] = [$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]];
        }
        $means = array_map(static fn (array $all): array => array_map(static fn (int $d): float => array_sum(array_column($all, $d)) / count($all), [0, 1, 2]), $misses);
        $distance = $near = [];
        foreach ($stacks as $stack) {
            $mean = $means[self::pencilsKey($stack)] ?? null;
            if ($mean !== null) {
                $p = $this->forecast->predicted($stack[0], $stack[1], $stack[2]);
                $distance[] = ($p[0] + $mean[0]) ** 2 + ($p[1] + $mean[1]) ** 2 + ($p[2] + $mean[2]) ** 2;
                $near[] = $stack;
            }
        }
        array_multisort($distance, SORT_ASC, SORT_NUMERIC, $near);

        return $near;
    }

    /** @param  array{int, int, int}  $stack */
    private static function isOfFewPencils(array $stack): bool
    {
        [$a, $b, $c] = [intdiv($stack[0], Moves::MARKS), intdiv($stack[1], Moves::MARKS), intdiv($stack[2], Moves::MARKS)];

        return $a === $b || $b === $c || $a === $c;
    }

    /** @param  array<int, int>  $stack  three moves */
    private static function pencilsKey(array $stack): string
    {
        return intdiv($stack[0], Moves::MARKS).'/'.intdiv($stack[1], Moves::MARKS).'/'.intdiv($stack[2], Moves::MARKS);
    }

    /**
     * @param  list<array{int, int, int}>  $stacks
     * @return list<Candidate>
     */
    private function layTriples(array $stacks): array
    {
        // In order of their first passes, so that what they share is laid once.
        sort($stacks);
        $laid = [];
        $first = $second = $this->bare;
        foreach ($stacks as [$a, $b, $c]) {
            if ($first->moves !== [$a]) {
                $first = $this->extend($this->bare, $a);
            }
            if ($second->moves !== [$a, $b]) {
                $second = $this->extend($first, $b);
            }
            $laid[] = $this->offered($this->extend($second, $c));
        }

        return $laid;
    }

    /**
     * The nearest stacks with one more pass each, and those that stay in the running without.
     *
     * @param  list<Candidate>  $laid
     * @return list<Candidate>
     */
    private function grown(array $laid, int $passes): array
    {
        usort($laid, static fn (Candidate $a, Candidate $b): int => $a->deltaE00 <=> $b->deltaE00);
        $alike = [];
        $growing = 0;
        foreach ($laid as $candidate) {
            $key = $candidate->pencilKey();
            $alike[$key] = ($alike[$key] ?? 0) + 1;
            if ($alike[$key] > self::GROWN_ALIKE || count($candidate->moves) >= $passes || $candidate->sheet->toothUsed() > 1 - self::LEAST_ROOM) {
                continue;
            }
            foreach ($this->forecast->next($candidate, self::TRIED) as $move) {
                if ($this->rules->allow([...$candidate->moves, $move])) {
                    $laid[] = $this->offered($this->extend($candidate, $move));
                }
            }
            if (++$growing >= $this->some(self::GROWN)) {
                break;
            }
        }

        return $laid;
    }

    private function some(int $count): int
    {
        return max(1, (int) round($this->effort * $count));
    }

    /** @param  list<int>  $stack */
    private function laid(array $stack): Candidate
    {
        return $this->offered(array_reduce($stack, $this->extend(...), $this->bare));
    }

    private function offered(Candidate $candidate): Candidate
    {
        if ($this->rules->allow($candidate->moves)) {
            $this->pool->offer($candidate);
        }

        return $candidate;
    }
}
