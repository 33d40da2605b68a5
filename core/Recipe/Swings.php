<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Search\Candidate;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Rules;

/** How much an ordinary hand sways what a search has laid; worked out for those that by estimate are the steadiest, and once for each. */
final class Swings
{
    /** Stacks whose steadiness is worked out, of those that by estimate are the steadiest. */
    private const STEADIED = 10;

    /** @var array<string, float> RMS ΔE00 in an ordinary hand, by stack */
    private array $swings = [];

    public function __construct(private readonly Moves $moves, private readonly Rules $rules)
    {
    }

    /**
     * @param  array<Candidate>  $near  by estimate the steadiest first
     * @return array{?Candidate, float}
     */
    public function least(array $near): array
    {
        $best = null;
        $least = INF;
        foreach (array_slice($near, 0, self::STEADIED) as $candidate) {
            $swing = $this->of($candidate);
            if ($swing < $least) {
                [$best, $least] = [$candidate, $swing];
            }
        }

        return [$best, $least];
    }

    /** RMS ΔE00 in an ordinary hand. */
    public function of(Candidate $candidate): float
    {
        return $this->swings[$candidate->key()] ??= Steadiness::of($this->stackOf($candidate), $this->moves->paper);
    }

    public function stackOf(Candidate $candidate): Stack
    {
        $passes = $this->moves->passesOf($candidate->moves);

        return new Stack($this->rules->finish === null ? $passes : [...$passes, $this->rules->finish]);
    }
}
