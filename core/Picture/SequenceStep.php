<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Recipe\Sequence\GradedPass;

/** One pass of one zone in the order in which a picture is laid. */
final readonly class SequenceStep
{
    /** @param  int  $step  of its zone's sequence, from 1 */
    public function __construct(public int $step, public int $zone, public GradedPass $pass)
    {
    }
}
