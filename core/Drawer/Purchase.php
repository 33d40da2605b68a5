<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Medium\Pencil\Pencil;

/** A pencil not available that would help. */
final readonly class Purchase
{
    /** @param  float  $gain  how much: a share of what can be reached, 0–1, or ΔE00 of a picture; what asks says which */
    public function __construct(public Pencil $pencil, public float $gain)
    {
    }
}
