<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\Film;

/** One film as it lies in the tooth: the optics of its substance and its thickness in every stratum. */
final readonly class Deposit
{
    /**
     * @param  array<int, float>  $a  1 + K/S per band
     * @param  array<int, float>  $b  √(a² − 1) per band
     * @param  float  $scattering  S per unit of film
     * @param  array<int, float>  $thickness  film units per stratum
     * @param  float  $laydown  of what it was laid with: how soft it is, see {@see Drag}
     */
    public function __construct(
        public array $a,
        public array $b,
        public float $scattering,
        public array $thickness,
        public float $laydown = 0.95,
    ) {
    }

    /** @param  array<int, float>  $thickness */
    public function withThickness(array $thickness): self
    {
        return new self($this->a, $this->b, $this->scattering, $thickness, $this->laydown);
    }

    /**
     * The substance of several films mixed: mean K and S weighted by film. It has no thickness yet.
     *
     * @param  non-empty-list<self>  $deposits
     */
    public static function mixtureOf(array $deposits): self
    {
        $film = max(1e-9, array_sum(array_map(static fn (self $d): float => $d->total(), $deposits)));
        $absorption = array_fill(0, Observer::BANDS, 0.0);
        $scattering = $laydown = 0.0;
        foreach ($deposits as $deposit) {
            $share = $deposit->total() / $film;
            $scattering += $share * $deposit->scattering;
            $laydown += $share * $deposit->laydown;
            foreach ($deposit->a as $i => $a) {
                $absorption[$i] += $share * ($a - 1) * $deposit->scattering;
            }
        }
        [$a, $b] = Film::coefficients($absorption, max(1e-6, $scattering));

        return new self($a, $b, max(1e-6, $scattering), array_fill(0, Tooth::STRATA, 0.0), $laydown);
    }

    /**
     * {@see self::mixtureOf()} of two, in one loop: every firm pass of a search mixes so.
     *
     * @param  float  $own  film of this one that goes into it
     * @param  float  $others  and of the other
     * @param  array<int, float>  $thickness  of what comes of it, film units per stratum
     */
    public function mixedWith(self $other, float $own, float $others, array $thickness): self
    {
        $film = max(1e-9, $own + $others);
        $scattering = max(1e-6, ($own * $this->scattering + $others * $other->scattering) / $film);
        $here = ($own * $this->scattering) / $film / $scattering;
        $there = ($others * $other->scattering) / $film / $scattering;
        $a = $b = [];
        foreach ($this->a as $i => $ratio) {
            $ratio = max(1e-9, $here * ($ratio - 1) + $there * ($other->a[$i] - 1));
            $a[] = 1 + $ratio;
            $b[] = sqrt($ratio * ($ratio + 2));
        }

        return new self($a, $b, $scattering, $thickness, ($own * $this->laydown + $others * $other->laydown) / $film);
    }

    public function total(): float
    {
        return array_sum($this->thickness);
    }
}
