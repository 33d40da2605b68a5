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
    private const KINDS = [
        IMAGETYPE_JPEG => 'JPEG',
        IMAGETYPE_PNG => 'PNG',
        IMAGETYPE_WEBP => 'WEBP',
        IMAGETYPE_TIFF_II => 'TIFF',
        IMAGETYPE_TIFF_MM => 'TIFF',
    ];

    /** What a HEIC file may name itself in its first bytes. */
    private const HEIC_BRANDS = ['heic', 'heix', 'heim', 'heis', 'mif1', 'hevc', 'hevx'];

    /** From Debian's package icc-profiles-free. */
    private const SRGB_PROFILE = '/usr/share/color/icc/sRGB.icc';

    private const MOST_PIXELS = 50_000_000;

    private const MOST_SIDE = 16_000;

    private const LEAST_SIDE = 64;

    /** Longest side of the working copy, pixels. */
    private const WORKING_SIDE = 1920;

    private const JPEG_QUALITY = 92;

    /** @throws BadFile saying what is wrong and what to do */
    public function take(string $path): WorkingCopy
    {
        $kind = $this->lookAtHead($path);
        $plain = $kind === 'PNG' ? PngChunks::plain($path) : $path;
        try {
            return $this->decoded($kind, $plain);
        } finally {
            if ($plain !== $path) {
                unlink($plain);
            }
        }
    }

    private function decoded(string $kind, string $path): WorkingCopy
    {
        try {
            $first = new Imagick();
            // One picture of a file that may hold thousands, read as what its first bytes say and as nothing else.
            $first->readImage(strtolower($kind).":{$path}[0]");
            // What decodes HEIC turns the picture upright itself.
            $image = ImageManager::withDriver(Driver::class, autoOrientation: $kind !== 'HEIC')->read($first);
            if (min($image->width(), $image->height()) < 1) {
                throw self::damaged();
            }
            $image->scaleDown(self::WORKING_SIDE, self::WORKING_SIDE);
            $image->blendTransparency('ffffff');
            $native = $image->core()->native();
            if (! ($native instanceof Imagick)) {
                throw new \LogicException('the driver is Imagick');
            }
            self::toSrgb($native);
            $native->setImageType(Imagick::IMGTYPE_TRUECOLOR);
            $native->setImageDepth(8);
            /** @var list<int> $pixels */
            $pixels = $native->exportImagePixels(0, 0, $image->width(), $image->height(), 'RGB', Imagick::PIXEL_CHAR);
            $jpeg = (string) $image->toJpeg(self::JPEG_QUALITY, strip: true);
        } catch (RuntimeException|ImagickException $error) {
            throw self::damaged();
        }

        return new WorkingCopy($image->width(), $image->height(), $jpeg, self::packed($pixels));
    }

    /**
     * What the numbers in the file mean is said by its embedded profile, where it has one: taken for a screen's plain numbers, a phone's
     * wide ones would look dull.
     */
    private static function toSrgb(Imagick $image): void
    {
        try {
            if ($image->getImageProfiles('icc', false) !== []) {
                $image->profileImage('icc', (string) file_get_contents(self::SRGB_PROFILE));
            }
        } catch (ImagickException) {
            // A profile that can't be read, or one for another kind of colour, says nothing.
            $image->removeImageProfile('icc');
        }
        $image->transformImageColorspace(Imagick::COLORSPACE_SRGB);
    }

    /** @return string the kind, as the decoder names it */
    private function lookAtHead(string $path): string
    {
        if (! is_file($path) || filesize($path) === 0) {
            throw BadFile::because('The file is empty (0 bytes); copy it from the camera or phone again.');
        }
        // Only the head is read here, by the first bytes of the file and not by its name: what a decoder would make of anything
        // else (drawings that load files, scripts) never gets so far.
        [$kind, $width, $height] = self::isHeic($path) ? self::heicHead($path) : self::head($path);
        if ($width * $height > self::MOST_PIXELS || max($width, $height) > self::MOST_SIDE) {
            throw BadFile::because(
                sprintf(
                    'The picture measures %s × %s pixels; the limit is 50 megapixels. Save a smaller copy and try again.',
                    number_format($width),
                    number_format($height),
                ),
            );
        }
        if (min($width, $height) < self::LEAST_SIDE) {
            throw BadFile::because(
                sprintf('The picture measures only %d × %d pixels; at least 64 on each side are needed.', $width, $height),
            );
        }
        if (CutOff::isCutOff($kind, (string) file_get_contents($path))) {
            throw BadFile::because('The picture is damaged: the file stops before its end. Copy or export it again from the original.');
        }

        return $kind;
    }

    /** @return array{string, int, int} kind, width, height */
    private static function head(string $path): array
    {
        $head = @getimagesize($path);
        $kind = $head === false ? null : self::KINDS[$head[2]] ?? null;
        if ($head === false || $kind === null) {
            throw BadFile::because('This file is not a picture in a known format; choose a JPEG, PNG, WebP, TIFF or HEIC.');
        }

        return [$kind, $head[0], $head[1]];
    }

    private static function isHeic(string $path): bool
    {
        $start = (string) file_get_contents($path, length: 12);

        return substr($start, 4, 4) === 'ftyp' && in_array(substr($start, 8, 4), self::HEIC_BRANDS, true);
    }

    /** @return array{string, int, int} kind, width, height */
    private static function heicHead(string $path): array
    {
        if (Imagick::queryFormats('HEIC') === []) {
            throw BadFile::because(
                'This computer can’t read HEIC pictures; save the photo as JPEG (“most compatible” on a phone) and choose that file.',
            );
        }
        try {
            $image = new Imagick();
            $image->pingImage("heic:$path");
        } catch (ImagickException) {
            throw self::damaged();
        }

        return ['HEIC', $image->getImageWidth(), $image->getImageHeight()];
    }

    private static function damaged(): BadFile
    {
        return BadFile::because('The picture is damaged and can’t be read to its end; export it again from the original.');
    }

    /** @param  list<int>  $pixels */
    private static function packed(array $pixels): string
    {
        return implode('', array_map(static fn (array $part): string => pack('C*', ...$part), array_chunk($pixels, 60_000)));
    }
}
