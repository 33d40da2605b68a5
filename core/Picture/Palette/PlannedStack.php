<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Medium\Stack\Stack;

/** What is laid somewhere in a zone. */
final readonly class PlannedStack
{
    public function __construct(public int $zone, public Stack $stack)
    {
    }
}
