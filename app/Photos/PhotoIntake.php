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
    private const KINDS = [IMAGETYPE_JPEG => 'JPEG', IMAGETYPE_PNG => 'PNG', IMAGETYPE_WEBP => 'WEBP', IMAGETYPE_TIFF_II => 'TIFF', IMAGETYPE_TIFF_MM => 'TIFF'];

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
        // Only the head is read here, by the first bytes of the file and not by its name: what a decoder would make of anything
        // else (drawings that load files, scripts) never gets so far.
        $head = @getimagesize($path);
        $kind = $head === false ? null : (self::KINDS[$head[2]] ?? null);
        if ($head === false || $kind === null) {
            throw BadFile::because('This file is not a picture that can be taken; choose a JPEG, PNG, WebP or TIFF.');
        }
        [$width, $height] = $head;
        if ($width * $height > self::MOST_PIXELS || max($width, $height) > self::MOST_SIDE) {
            throw BadFile::because(sprintf('The picture measures %s × %s pixels; up to 50 megapixels can be taken. Save a smaller copy and try again.', number_format($width), number_format($height)));
        }
        if (min($width, $height) < self::LEAST_SIDE) {
            throw BadFile::because(sprintf('The picture measures only %d × %d pixels; at least 64 on each side are needed.', $width, $height));
        }
        if (CutOff::isCutOff($kind, $path)) {
            throw BadFile::because('The picture is damaged: the file stops before its end. Copy or export it again from where it came.');
        }
    }

    /** @param  list<int>  $pixels */
    private static function packed(array $pixels): string
    {
        return implode('', array_map(static fn (array $part): string => pack('C*', ...$part), array_chunk($pixels, 60_000)));
    }
}
