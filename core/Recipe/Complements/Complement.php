<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Complements;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** A pencil that works on another from beneath: the two passes, and what they make. */
final readonly class Complement
{
    public function __construct(public Pencil $pencil, public Stack $stack, public Lab $mix)
    {
    }
}
