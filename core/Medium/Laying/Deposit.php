<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

/** One film as it lies in the tooth: the optics of its substance and its thickness in every stratum. */
final readonly class Deposit
{
    /**
     * @param  array<int, float>  $a  1 + K/S per band
     * @param  array<int, float>  $b  √(a² − 1) per band
     * @param  float  $scattering  S per unit of film
     * @param  array<int, float>  $thickness  film units per stratum
     */
    public function __construct(public array $a, public array $b, public float $scattering, public array $thickness)
    {
    }

    /** @param  array<int, float>  $thickness */
    public function withThickness(array $thickness): self
    {
        return new self($this->a, $this->b, $this->scattering, $thickness);
    }

    public function total(): float
    {
        return array_sum($this->thickness);
    }
}
