<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Borders;

/** A stretch of border along which two zones grade into each other. */
final readonly class GradedBorder
{
    /**
     * @param  int  $one  the zone to the right of the edges
     * @param  non-empty-list<array{int, int, int, int, int}>  $edges  pixel edges of the zones' grid, from x, y to x, y, along the border
     * @param  non-empty-list<float>  $reach pixels of that grid to either side in which both are laid, by edge; less towards an end where
     *   the
     *   border goes on sharply
     * @param  float  $width  both sides together, pixels of that grid
     * @param  list<float>  $line  the border, x, y, x, y, … as shares of the picture
     */
    public function __construct(
        public int $one,
        public int $other,
        public array $edges,
        public array $reach,
        public float $width,
        public array $line,
    ) {
    }

    public function of(int $zone): bool
    {
        return $this->one === $zone || $this->other === $zone;
    }

    /** The zone beyond. */
    public function beyond(int $zone): int
    {
        return $this->one === $zone ? $this->other : $this->one;
    }
}
