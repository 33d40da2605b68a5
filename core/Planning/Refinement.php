<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Medium\Pass;
use KnottyPrism\Core\Medium\PressureMark;
use KnottyPrism\Core\Medium\Sheet;

/** Improves a stack by small changes, one at a time, while its price falls: another pressure, a near pencil, an order, a pass less. */
final readonly class Refinement
{
    private const ROUNDS = 5;

    /** Pencils tried in place of one. */
    private const SUBSTITUTES = 6;

    public function __construct(private BeamSearch $search, private Moves $moves, private Candidate $bare, private Pool $pool, private int $keepFirst = 0)
    {
    }

    public function improve(Candidate $best): Candidate
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $improved = $best;
            foreach ($this->neighbours($best->passes) as $passes) {
                $try = $this->build($passes);
                $this->pool->offer($try);
                if (Objective::price($try) < Objective::price($improved)) {
                    $improved = $try;
                }
            }
            if ($improved === $best) {
                break;
            }
            $best = $improved;
        }

        return $best;
    }

    /**
     * @param  list<Pass>  $passes
     * @return iterable<list<Pass>>
     */
    private function neighbours(array $passes): iterable
    {
        foreach ($passes as $i => $pass) {
            foreach (PressureMark::pressures() as $pressure) {
                if ($pressure !== $pass->pressure) {
                    yield array_values(array_replace($passes, [$i => new Pass($pass->pencil, $pressure)]));
                }
            }
            if ($i < $this->keepFirst) {
                continue;
            }
            foreach ($this->substitutes($pass) as $other) {
                yield array_values(array_replace($passes, [$i => $other]));
            }
            if (count($passes) > 1) {
                yield [...array_slice($passes, 0, $i), ...array_slice($passes, $i + 1)];
            }
            if (isset($passes[$i + 1])) {
                yield array_values(array_replace($passes, [$i => $passes[$i + 1], $i + 1 => $pass]));
            }
        }
    }

    /** @return list<Pass> */
    private function substitutes(Pass $pass): array
    {
        $at = $this->moves->indexOf($pass);
        if ($at === null) {
            return [];
        }
        $near = $this->moves->nearest($this->moves->densities[$at], $this->moves->shares(new Sheet($this->moves->paper)), 1.0, self::SUBSTITUTES * 2);
        $others = array_filter($near, fn (int $k): bool => $this->moves->passes[$k]->pencil !== $pass->pencil);

        return array_map(fn (int $k): Pass => $this->moves->passes[$k], array_slice(array_values($others), 0, self::SUBSTITUTES));
    }

    /** @param  list<Pass>  $passes */
    private function build(array $passes): Candidate
    {
        $candidate = $this->bare;
        foreach ($passes as $pass) {
            $candidate = $this->search->extend($candidate, $pass);
        }

        return $candidate;
    }
}
