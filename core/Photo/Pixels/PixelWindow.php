<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Pixels;

use KnottyPrism\Core\Error\OutOfRange;

/** A rectangle of sRGB pixels, three bytes each, row after row: the part of a photo that a ring covers. */
final readonly class PixelWindow
{
    /**
     * @param  string  $bytes  3 × width × height
     *
     * @throws OutOfRange when the bytes do not fill the rectangle
     */
    public function __construct(public int $width, public int $height, public string $bytes)
    {
        OutOfRange::check('the number of bytes in a window', strlen($bytes), 3 * $width * $height, 3 * $width * $height);
    }
}
