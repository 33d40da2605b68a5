<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Colour\Lab;

/** A colour that a palette is chosen for. */
final readonly class WantedColour
{
    /** @param  float  $weight  share of the picture it stands for, times how much it matters */
    public function __construct(public Lab $fitted, public float $weight)
    {
    }
}
