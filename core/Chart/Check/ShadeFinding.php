<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Recipe\NextMove\WayOn;

/** What a photo says of one shade of a zone, and what to do there. */
final readonly class ShadeFinding
{
    /**
     * @param  Lab  $expected  after the passes that are laid
     * @param  float  $area  share of the drawing that it was read from, 0–1
     */
    public function __construct(
        public CheckedZone $zone,
        public CheckedShade $shade,
        public Lab $expected,
        public Lab $found,
        public float $area,
        public WayOn $way,
    ) {
    }

    /** "Near: a step too light, leans too blue", beside what the plan expects. */
    public function words(): string
    {
        return (new Comparison($this->found, $this->expected))->words();
    }
}
