<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Photo\Zones\Distance;

/** A zone of the drawing as far as the order of work asks for it. */
final readonly class DeskZone
{
    /**
     * @param  float  $area  mm² that are laid; what is kept white is not
     * @param  float  $x  mm of its centre from the left edge of the drawing
     * @param  float  $y  mm from the upper
     * @param  float  $lightness  L* of its middle value
     * @param  int  $pieces  that it lies in
     */
    public function __construct(public int $number, public string $name, public float $area, public float $x, public float $y, public float $lightness, public Distance $distance = Distance::Middle, public int $pieces = 1)
    {
    }
}
