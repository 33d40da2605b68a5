<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** A colour that a palette is chosen for. */
final readonly class WantedColour
{
    /**
     * @param  float  $weight  share of the picture it stands for, times how much it matters
     * @param  float  $grainCounts  see {@see Shade::$grainCounts}
     */
    public function __construct(public Lab $fitted, public float $weight, public float $grainCounts = Shade::SMOOTH)
    {
    }

    /** The same with another that is nearly alike: what both weigh, and of grain what counts in the mean. */
    public function with(self $other): self
    {
        $weight = $this->weight + $other->weight;

        return new self($this->fitted, $weight, $weight > 0 ? ($this->weight * $this->grainCounts + $other->weight * $other->grainCounts) / $weight : $this->grainCounts);
    }
}
