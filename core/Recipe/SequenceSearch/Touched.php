<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

/** A touch while it is worked into a run. */
final readonly class Touched
{
    /**
     * @param  list<int>  $marks  in the run's passes so far, 0 where left out
     * @param  list<int>  $own  moves of its own passes
     */
    public function __construct(public array $marks, public array $own, public Laid $laid)
    {
    }

    public function passedBy(): self
    {
        return new self([...$this->marks, 0], $this->own, $this->laid);
    }

    public function marked(int $mark, Laid $laid): self
    {
        return new self([...$this->marks, $mark], $this->own, $laid);
    }

    public function gotOwn(int $move, Laid $laid): self
    {
        return new self($this->marks, [...$this->own, $move], $laid);
    }
}
