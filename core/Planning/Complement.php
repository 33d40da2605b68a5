<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Pencil;
use KnottyPrism\Core\Medium\Stack;

/** A pencil that works on another from beneath: the two passes, and what they make. */
final readonly class Complement
{
    public function __construct(public Pencil $pencil, public Stack $stack, public Lab $mix)
    {
    }
}
