<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Notes;

use KnottyPrism\Core\Error\OutOfRange;

/** Where a spot lies on one photo. */
final readonly class SpotPlace
{
    /**
     * @param  float  $x  share of the width
     * @param  float  $y  share of the height
     * @param  int  $ring  its radius in pixels of the working copy
     *
     * @throws OutOfRange
     */
    public function __construct(public float $x, public float $y, public int $ring)
    {
        OutOfRange::check('a place on the photo', $x, 0, 1);
        OutOfRange::check('a place on the photo', $y, 0, 1);
        OutOfRange::check('the radius of the ring', $ring, 0, NamedSpot::WIDEST_RING, 'pixels');
    }

    /** @return array{x: float, y: float, ring: int} */
    public function toArray(): array
    {
        return ['x' => $this->x, 'y' => $this->y, 'ring' => $this->ring];
    }
}
