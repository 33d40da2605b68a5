<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

/** One step of the order in which a picture is laid. */
final readonly class LayingStep
{
    /** @param  int  $step  of its stack, from 1 */
    public function __construct(public int $step, public PlannedTarget $target)
    {
    }
}
