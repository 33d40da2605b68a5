<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Warnings\Warning;

/** A sequence for a zone or a spot, with what to look out for in it and what was tried that helps. */
final readonly class Recipe
{
    /** @param  list<Warning>  $warnings */
    public function __construct(public SequenceAnswer $answer, public array $warnings)
    {
    }

    /** Of its first shade: of a spot the only one. */
    public function outcome(): Outcome
    {
        return $this->answer->outcomes[0];
    }

    /** What lies there in the end. */
    public function stack(): Stack
    {
        return $this->outcome()->stack();
    }
}
