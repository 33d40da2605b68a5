<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

use KnottyPrism\Core\Error\OutOfRange;

/**
 * The part of a photo that becomes the drawing, when the photo is cut to the drawing's shape; and a grid of squares over it, measured in
 * the drawing's own millimetres, so that the same grid can be ruled on the paper.
 */
final readonly class DrawingFrame
{
    private const MOST_LINES = 200;

    /** As shares of the photo. */
    public float $left;

    public float $top;

    public float $width;

    public float $height;

    /**
     * @param  float  $photoShape  width over height
     * @param  float  $paperWidth  millimetres
     * @param  float  $paperHeight  millimetres
     * @param  float  $place  where the cut lies along what is cut off: 0 the left or upper end, 0.5 the middle, 1 the right or lower end
     *
     * @throws OutOfRange
     */
    public function __construct(float $photoShape, public float $paperWidth, public float $paperHeight, float $place = 0.5)
    {
        OutOfRange::check("the drawing's width", $paperWidth, 20, 3000, 'mm');
        OutOfRange::check("the drawing's height", $paperHeight, 20, 3000, 'mm');
        OutOfRange::check('the place of the cut', $place, 0, 1);
        $shape = $paperWidth / $paperHeight;
        $this->width = min(1.0, $shape / $photoShape);
        $this->height = min(1.0, $photoShape / $shape);
        $this->left = $place * (1 - $this->width);
        $this->top = $place * (1 - $this->height);
    }

    /** Millimetres that the whole photo would be wide, as large as the drawing has its part of it. */
    public function wholeWidth(): float
    {
        return $this->paperWidth / $this->width;
    }

    /**
     * @param  float  $square  millimetres
     *
     * @throws OutOfRange
     */
    public function grid(float $square): GridLines
    {
        OutOfRange::check(
            "the grid's square",
            $square,
            max($this->paperWidth, $this->paperHeight) / self::MOST_LINES,
            min($this->paperWidth, $this->paperHeight),
            'mm',
        );
        $lines = static fn (float $length, float $from, float $share): array => array_map(
            static fn (int $i): float => $from + ($share * $i * $square) / $length,
            ($n = (int) ceil($length / $square - 1e-9) - 1) < 1 ? [] : range(1, $n),
        );

        return new GridLines($lines($this->paperWidth, $this->left, $this->width), $lines($this->paperHeight, $this->top, $this->height));
    }
}
