<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Transfer;

/** One page of a tiled drawing. */
final readonly class Tile
{
    /**
     * @param  float  $x  mm of its left edge in the drawing
     * @param  float  $y  mm of its upper edge
     * @param  float  $wide  mm
     * @param  float  $high  mm
     */
    public function __construct(
        public int $row,
        public int $column,
        public float $x,
        public float $y,
        public float $wide,
        public float $high,
    ) {
    }
}
