<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

use KnottyPrism\Core\Error\OutOfRange;

/** A picture to be shown: sRGB bytes row after row, three a pixel, or one where it has no colour. */
final readonly class Picture
{
    /** @throws OutOfRange when the bytes do not fill the rectangle */
    public function __construct(public int $width, public int $height, public int $channels, public string $bytes)
    {
        OutOfRange::check('the number of bytes in a picture', strlen($bytes), $channels * $width * $height, $channels * $width * $height);
    }
}
