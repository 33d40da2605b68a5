<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Strips;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Stack\Stack;

/** A stack tried on a scrap of the paper, and what came of it. */
final readonly class Strip
{
    public function __construct(public Stack $stack, public Lab $found)
    {
    }
}
