<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Medium\LayPass;
use KnottyPrism\Core\Medium\Sheet;

/**
 * Searches stacks for one target. All stacks of up to three passes are forecast, the nearest are laid; the nearest of those are
 * grown by the passes that the forecast names, up to the number allowed. Everything that was laid is offered to the pool.
 */
final readonly class StackSearch
{
    /** Stacks laid of each length, out of all that are forecast. */
    private const SINGLES = 16;

    private const PAIRS = 70;

    private const TRIPLES = 360;

    /** Forecast triples among which those of few pencils are looked for, and how many of them are laid besides. */
    private const TRIPLES_SIFTED = 2400;

    private const PLAIN_TRIPLES = 50;

    /** Stacks that grow by a further pass, at most so many with the same pencils, and the passes tried on each. */
    private const GROWN = 36;

    private const GROWN_ALIKE = 3;

    private const TRIED = 7;

    /** A sheet with less room than this takes no further pass. */
    private const LEAST_ROOM = 0.04;

    public Candidate $bare;

    public function __construct(private Moves $moves, private Forecast $forecast, private Pool $pool, private Rules $rules)
    {
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
        $pass = $this->moves->passes[$move];
        $sheet = clone $from->sheet;
        LayPass::onto($sheet, $pass->pencil, $pass->pressure);
        $look = Look::at($sheet);
        $sway = $from->sway + $this->forecast->sway($from->look, $look, $move % Moves::MARKS);

        return new Candidate([...$from->moves, $move], $sheet, $look, $look->lab->deltaE00($this->forecast->target), $sway);
    }

    /**
     * @param  list<int>  $firsts
     * @return list<Candidate>
     */
    private function triples(array $firsts): array
    {
        $n = count($this->moves->passes);
        $stacks = [];
        $plain = 0;
        foreach (array_keys($this->forecast->triples($firsts, self::TRIPLES_SIFTED)) as $key) {
            $stack = [intdiv($key, $n * $n), intdiv($key, $n) % $n, $key % $n];
            $few = count(array_unique(array_map(Moves::pencilOf(...), $stack))) < 3;
            if (! $this->rules->allow($stack)) {
                continue;
            }
            if (count($stacks) < self::TRIPLES || ($few && $plain++ < self::PLAIN_TRIPLES)) {
                $stacks[$key] = $stack;
            }
        }
        // In order of their first passes, so that what they share is laid once.
        ksort($stacks);
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
            if (++$growing >= self::GROWN) {
                break;
            }
        }

        return $laid;
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
