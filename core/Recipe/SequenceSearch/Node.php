<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

/** A run as it is searched: what it has laid in every shade, and what that costs. */
final readonly class Node
{
    /**
     * @param  list<Laid>  $laid  by shade
     * @param  float  $cost  mean error on paper and prices, ΔE00
     * @param  float  $hope  the same, when further passes make the best of it
     * @param  bool  $closed  whether no pass may follow
     */
    public function __construct(public Run $run, public array $laid, public float $cost, public float $hope, public bool $closed)
    {
    }

    /** What it is worth going on from. */
    public function promise(): float
    {
        return Ground::promise($this->cost, $this->hope);
    }
}
