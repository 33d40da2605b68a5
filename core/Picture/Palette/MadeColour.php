<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Stack\Stack;

/** How a colour of a picture is made now. */
final readonly class MadeColour
{
    /** @param  float  $weight  share of the picture it stands for */
    public function __construct(public Lab $target, public Stack $stack, public float $deltaE00, public float $weight)
    {
    }
}
