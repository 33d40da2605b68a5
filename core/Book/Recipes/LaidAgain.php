<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Recipes;

use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** A recipe of the book as it comes out with today's pencils. */
final readonly class LaidAgain
{
    /** @param  list<StandIn>  $standIns  for what is missing, in the order in which the recipe takes them */
    public function __construct(public SequenceAnswer $answer, public array $standIns)
    {
    }
}
