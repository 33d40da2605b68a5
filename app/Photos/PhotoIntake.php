<?php

declare(strict_types=1);

namespace App\Photos;

use Imagick;
use ImagickException;
use Intervention\Image\Drivers\Imagick\Driver;
use Intervention\Image\Exceptions\RuntimeException;
use Intervention\Image\ImageManager;
use KnottyPrism\Core\Error\BadFile;

/**
 * Takes a photo file in: looks at its head before decoding anything, refuses what is no photo, and makes the upright working copy
 * that everything reads. The original is kept by the store as it came and never served.
 */
final class PhotoIntake
{
    private const KINDS = ['JPEG', 'PNG', 'WEBP', 'TIFF'];

    private const MOST_PIXELS = 50_000_000;

    private const MOST_SIDE = 16_000;

    private const LEAST_SIDE = 64;

    /** Longest side of the working copy, pixels. */
    private const WORKING_SIDE = 1920;

    private const JPEG_QUALITY = 92;

    /** @throws BadFile saying what is wrong and what to do */
    public function take(string $path): WorkingCopy
    {
        $this->lookAtHead($path);
        try {
            $image = ImageManager::withDriver(Driver::class, autoOrientation: true)->read($path);
            $image->scaleDown(self::WORKING_SIDE, self::WORKING_SIDE);
            $image->blendTransparency('ffffff');
            $native = $image->core()->native();
            if (! $native instanceof Imagick) {
                throw new \LogicException('the driver is Imagick');
            }
            $native->transformImageColorspace(Imagick::COLORSPACE_SRGB);
            $native->setImageType(Imagick::IMGTYPE_TRUECOLOR);
            $native->setImageDepth(8);
            /** @var list<int> $pixels */
            $pixels = $native->exportImagePixels(0, 0, $image->width(), $image->height(), 'RGB', Imagick::PIXEL_CHAR);
            $jpeg = (string) $image->toJpeg(self::JPEG_QUALITY, strip: true);
        } catch (RuntimeException|ImagickException $error) {
            throw BadFile::because('The picture is damaged and can not be read to its end; export it again from where it came.');
        }

        return new WorkingCopy($image->width(), $image->height(), $jpeg, self::packed($pixels));
    }

    private function lookAtHead(string $path): void
    {
        if (! is_file($path) || filesize($path) === 0) {
            throw BadFile::because('The file is empty (0 bytes); copy it from the camera or phone again.');
        }
        $head = new Imagick;
        try {
            $head->pingImage($path);
        } catch (ImagickException) {
            throw BadFile::because('This file is not a picture; choose a JPEG, PNG, WebP or TIFF.');
        }
        [$kind, $width, $height] = [$head->getImageFormat(), $head->getImageWidth(), $head->getImageHeight()];
        $head->clear();
        if (! in_array($kind, self::KINDS, true)) {
            throw BadFile::because(sprintf('This is a %s file; choose a JPEG, PNG, WebP or TIFF.', $kind));
        }
        if ($width * $height > self::MOST_PIXELS || max($width, $height) > self::MOST_SIDE) {
            throw BadFile::because(sprintf('The picture measures %s × %s pixels; up to 50 megapixels can be taken. Save a smaller copy and try again.', number_format($width), number_format($height)));
        }
        if (min($width, $height) < self::LEAST_SIDE) {
            throw BadFile::because(sprintf('The picture measures only %d × %d pixels; at least 64 on each side are needed.', $width, $height));
        }
    }

    /** @param list<int> $pixels */
    private static function packed(array $pixels): string
    {
        return implode('', array_map(static fn (array $part): string => pack('C*', ...$part), array_chunk($pixels, 60_000)));
    }
}
