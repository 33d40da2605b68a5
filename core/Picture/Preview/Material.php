<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Medium\Paper\PencilGrain;

/**
 * What a picture to come is drawn on, the same after every pass: which look each pixel takes, at which value, and where in the tooth it
 * lies.
 */
final readonly class Material
{
    /**
     * @param  string  $looks  a byte a pixel: a zone's value run or a touch, by its place in {@see Preview}; 255 for kept paper
     * @param  string  $levels  L* of the photo, 0–100
     * @param  string  $grain  0 to 15, see {@see PencilGrain}
     * @param  float  $mmPerPixel  of the drawing
     * @param  list<array{int, int}>  $pairs  looks of which both are laid along a graded border
     * @param  string  $bands  the pixels where they are, see {@see DrawnBands}
     */
    public function __construct(
        public int $width,
        public int $height,
        public string $looks,
        public string $levels,
        public string $grain,
        public float $mmPerPixel,
        public array $pairs = [],
        public string $bands = '',
    ) {
    }
}
