<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

/** A touch while it is worked into a run. */
final readonly class Touched
{
    /**
     * @param  list<int>  $pressures  in the run's passes so far, 0 where left out
     * @param  list<int>  $own  moves of its own passes
     */
    public function __construct(public array $pressures, public array $own, public Laid $laid)
    {
    }

    public function passedBy(): self
    {
        return new self([...$this->pressures, 0], $this->own, $this->laid);
    }

    public function pressed(int $pressure, Laid $laid): self
    {
        return new self([...$this->pressures, $pressure], $this->own, $laid);
    }

    public function gotOwn(int $move, Laid $laid): self
    {
        return new self($this->pressures, [...$this->own, $move], $laid);
    }
}
