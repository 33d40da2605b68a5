<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Transfer;

use KnottyPrism\Core\Photo\Viewing\DrawingFrame;

/** Lines to be transferred to the paper, in millimetres of the drawing. */
final readonly class Tracing
{
    /**
     * @param  list<list<array{float, float}>>  $outlines  borders of zones
     * @param  list<list<array{float, float}>>  $graded  borders over which zones grade into each other
     * @param  list<list<array{float, float}>>  $inner  lines within them
     */
    private function __construct(
        public float $wide,
        public float $high,
        public array $outlines,
        public array $graded,
        public array $inner,
    ) {
    }

    /**
     * @param  array{list<list<float>>, list<list<float>>}  $borders  sharp and graded, see {@see BorderLines}
     * @param  list<list<float>>  $inner  x, y, x, y, … as shares of the photo
     * @param  bool  $mirrored  for a transfer face down
     */
    public static function of(DrawingFrame $frame, array $borders, array $inner, bool $mirrored): self
    {
        $there = static fn (array $line): array => array_map(static function (array $point) use ($frame, $mirrored): array {
            $x = (($point[0] - $frame->left) / $frame->width) * $frame->paperWidth;

            return [$mirrored ? $frame->paperWidth - $x : $x, (($point[1] - $frame->top) / $frame->height) * $frame->paperHeight];
        }, array_values(array_filter(array_chunk($line, 2), static fn (array $p): bool => count($p) === 2)));

        return new self(
            $frame->paperWidth,
            $frame->paperHeight,
            array_map($there, $borders[0]),
            array_map($there, $borders[1]),
            array_map($there, $inner),
        );
    }
}
