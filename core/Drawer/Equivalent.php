<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

/** A pencil that comes near to another. */
final readonly class Equivalent
{
    /** @param  float  $heavy  ΔE00 between their heavy swatches
     *  @param  float  $light  and between their light ones */
    public function __construct(public Portrait $of, public Portrait $portrait, public float $heavy, public float $light)
    {
    }

    /** Whether it may stand in for the other. */
    public function isNear(): bool
    {
        return $this->heavy <= Equivalents::NEAR;
    }
}
