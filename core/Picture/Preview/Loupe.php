<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

/** A small piece of a drawing seen from near: 36 by 27 mm, twenty pixels a millimetre, where strokes and flecks are seen. */
final readonly class Loupe
{
    public const WIDTH = 720;

    public const HEIGHT = 540;

    private const MM_PER_PIXEL = 0.05;

    private function __construct(public Window $window)
    {
    }

    /**
     * @param  float  $x  the middle, as shares of the drawing; at an edge the piece stays within it
     * @param  float  $wideMm  of the drawing
     * @param  float  $shape  its width over its height
     */
    public static function at(float $x, float $y, float $wideMm, float $shape): self
    {
        $across = min(1.0, (self::WIDTH * self::MM_PER_PIXEL) / $wideMm);
        $down = min(1.0, (self::HEIGHT * self::MM_PER_PIXEL * $shape) / $wideMm);

        return new self(
            new Window(max(0.0, min(1 - $across, $x - $across / 2)), max(0.0, min(1 - $down, $y - $down / 2)), $across, $down),
        );
    }

    /** @return array{int, int, int<1, max>, int<1, max>} left, top, width and height in the pixels of a photo */
    public function pixels(int $width, int $height): array
    {
        $w = $this->window;
        $left = min($width - 1, (int) ($w->left * $width));
        $top = min($height - 1, (int) ($w->top * $height));

        return [
            $left,
            $top,
            max(1, min($width - $left, (int) round($w->width * $width))),
            max(1, min($height - $top, (int) round($w->height * $height))),
        ];
    }
}
