<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Remedies;

use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** A change of a sequence that was tried: laid and looked at again in every shade. */
final readonly class Remedy
{
    /** @param  string  $words  what to do, and what it was tried to end with */
    public function __construct(public string $words, public SequenceAnswer $answer)
    {
    }
}
