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
     * @param  list<array{float, float, string}>  $places of those that are worth a name, the largest first: mm from the left edge and from
     *   the upper, and where that is in words; none for one at its centre
     */
    public function __construct(
        public int $number,
        public string $name,
        public float $area,
        public float $x,
        public float $y,
        public float $lightness,
        public Distance $distance = Distance::Middle,
        public int $pieces = 1,
        public array $places = [],
    ) {
    }

    /** mm from the nearest piece to a place. */
    public function from(float $x, float $y): float
    {
        return min(
            array_map(
                static fn (array $at): float => hypot($at[0] - $x, $at[1] - $y),
                $this->places === [] ? [[$this->x, $this->y]] : $this->places,
            ),
        );
    }

    /** mm from the nearest piece to the nearest one of another zone. */
    public function to(self $other): float
    {
        return min(
            array_map(
                fn (array $at): float => $this->from($at[0], $at[1]),
                $other->places === [] ? [[$other->x, $other->y]] : $other->places,
            ),
        );
    }
}
