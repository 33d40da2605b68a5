<?php

declare(strict_types=1);

namespace App\Photos;

use Imagick;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** sRGB pixels, three bytes each, row after row, that can be scaled and written as PNG. */
final readonly class Raster
{
    /** zlib level 1, no filter: size matters less here than time. */
    private const PNG_FAST = 10;

    private const JPEG_QUALITY = 90;

    /** @throws OutOfRange when the bytes do not fill the rectangle */
    public function __construct(public int $width, public int $height, public string $pixels)
    {
        OutOfRange::check('the number of bytes in a picture', strlen($pixels), 3 * $width * $height, 3 * $width * $height);
    }

    /** The working copy with its longest side at most so long; each pixel the mean of those it covers. */
    public static function scaled(WorkingCopy $copy, int $side): self
    {
        return self::sized($copy, ...self::within($copy->width, $copy->height, $side));
    }

    /** The working copy at a size, larger ones too; each pixel the mean of those it covers, or between those that it lies among. */
    public static function sized(WorkingCopy $copy, int $width, int $height): self
    {
        $image = self::image($copy->width, $copy->height, $copy->pixels);
        $image->resizeImage($width, $height, $width > $copy->width ? Imagick::FILTER_TRIANGLE : Imagick::FILTER_BOX, 1);
        $image->setImageFormat('rgb');
        $image->setImageDepth(8);

        return new self($width, $height, $image->getImageBlob());
    }

    /** @return array{int, int} width and height with the longest side at most so long */
    public static function within(int $width, int $height, int $side): array
    {
        $scale = min(1.0, $side / max($width, $height));

        return [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
    }

    /** A piece of a photo at a size, each pixel between those that it lies among: a large one is reduced first. */
    public static function resized(int $width, int $height, string $pixels, int $toWidth, int $toHeight): PixelGrid
    {
        $piece =
            $width > $toWidth || $height > $toHeight
                ? self::scaled(new WorkingCopy($width, $height, '', $pixels), max($toWidth, $toHeight))
                : new self($width, $height, $pixels);

        return PixelGrid::ofSrgb($piece->width, $piece->height, $piece->pixels)->enlarged($toWidth, $toHeight);
    }

    /** @param  ?float  $mmPerPixel  how large it is on paper, where that is known */
    public function png(?float $mmPerPixel = null): string
    {
        $image = self::image($this->width, $this->height, $this->pixels);
        $image->setFormat('png');
        $image->setImageFormat('png');
        $image->setImageCompressionQuality(self::PNG_FAST);
        $image->setOption('png:exclude-chunks', 'date,time');
        if ($mmPerPixel !== null) {
            $image->setImageUnits(Imagick::RESOLUTION_PIXELSPERCENTIMETER);
            $image->setImageResolution(10 / $mmPerPixel, 10 / $mmPerPixel);
        }

        return $image->getImageBlob();
    }

    /**
     * A picture file of plain bytes.
     *
     * @param  int  $channels  3, or 1 for greys
     */
    public static function encoded(int $width, int $height, int $channels, string $bytes, string $kind): string
    {
        $image = new Imagick();
        // The plainest file there is, so that nothing is said twice about the bytes.
        $image->readImageBlob(sprintf("%s %d %d 255\n%s", $channels === 3 ? 'P6' : 'P5', $width, $height, $bytes));
        $image->setImageFormat($kind);
        // When it was made is said nowhere: the same picture is the same bytes.
        $image->setOption('png:exclude-chunks', 'date,time');
        $image->setImageCompressionQuality($kind === 'png' ? self::PNG_FAST : self::JPEG_QUALITY);

        return $image->getImageBlob();
    }

    private static function image(int $width, int $height, string $pixels): Imagick
    {
        $image = new Imagick();
        $image->setSize($width, $height);
        $image->setOption('depth', '8');
        $image->setFormat('rgb');
        $image->readImageBlob($pixels);

        return $image;
    }
}
