<?php

declare(strict_types=1);

namespace App\Photos;

use Imagick;
use KnottyPrism\Core\Error\OutOfRange;

/** sRGB pixels, three bytes each, row after row, that can be scaled and written as PNG. */
final readonly class Raster
{
    /** @throws OutOfRange when the bytes do not fill the rectangle */
    public function __construct(public int $width, public int $height, public string $pixels)
    {
        OutOfRange::check('the number of bytes in a picture', strlen($pixels), 3 * $width * $height, 3 * $width * $height);
    }

    /** The working copy with its longest side at most so long; each pixel the mean of those it covers. */
    public static function scaled(WorkingCopy $copy, int $side): self
    {
        $scale = min(1.0, $side / max($copy->width, $copy->height));
        [$width, $height] = [max(1, (int) round($copy->width * $scale)), max(1, (int) round($copy->height * $scale))];
        $image = self::image($copy->width, $copy->height, $copy->pixels);
        $image->resizeImage($width, $height, Imagick::FILTER_BOX, 1);
        $image->setImageFormat('rgb');
        $image->setImageDepth(8);

        return new self($width, $height, $image->getImageBlob());
    }

    public function png(): string
    {
        $image = self::image($this->width, $this->height, $this->pixels);
        $image->setFormat('png');
        $image->setImageFormat('png');

        return $image->getImageBlob();
    }

    private static function image(int $width, int $height, string $pixels): Imagick
    {
        $image = new Imagick;
        $image->setSize($width, $height);
        $image->setOption('depth', '8');
        $image->setFormat('rgb');
        $image->readImageBlob($pixels);

        return $image;
    }
}
