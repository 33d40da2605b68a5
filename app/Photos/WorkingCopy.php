<?php

declare(strict_types=1);

namespace App\Photos;

/** The upright sRGB picture that is looked at and measured: a JPEG to show, and its pixels, three bytes each, to read. */
final readonly class WorkingCopy
{
    public function __construct(public int $width, public int $height, public string $jpeg, public string $pixels)
    {
    }
}
