<?php

declare(strict_types=1);

namespace App\Photos;

use Illuminate\Process\Exceptions\ProcessFailedException;
use Illuminate\Process\Exceptions\ProcessTimedOutException;
use Illuminate\Support\Facades\Process;
use Imagick;
use ImagickException;
use KnottyPrism\Core\Error\BadFile;

/**
 * Takes everything out of a photo's file but the picture, its colour profile and which way up it is: place, time, camera, owner, captions,
 * serial numbers, what other programs put there, and what is hidden behind the picture. The file goes on in study and account files.
 */
final class Metadata
{
    /** All goes; then profile and orientation come back from what was there. */
    private const PROFILE_AND_ORIENTATION = ['-all=', '-tagsfromfile', '@', '-icc_profile', '-IFD0:Orientation'];

    /** An ordinary photo takes a fifth of a second. */
    private const SECONDS = 5;

    /** Chunks of a WebP that the picture needs. */
    private const WEBP = ['VP8 ', 'VP8L', 'VP8X', 'ALPH', 'ANIM', 'ANMF', 'ICCP', 'EXIF'];

    /** Boxes of a HEIC that the picture needs. */
    private const HEIC = ['ftyp', 'meta', 'mdat', 'moov'];

    /**
     * @param  string  $path  of a copy of the file, which is changed
     * @return bool whether it could be done; a file that can't be read so far is to be kept another way
     */
    public static function takeOut(string $path): bool
    {
        $start = (string) file_get_contents($path, length: 16);
        try {
            match (true) {
                str_starts_with($start, "\x89PNG") => self::png($path),
                str_starts_with($start, 'RIFF') => self::webp($path),
                str_starts_with($start, "II*\0") || str_starts_with($start, "MM\0*") => self::tiff($path),
                substr($start, 4, 4) === 'ftyp' => self::heic($path),
                default => self::rewritten($path),
            };

            return true;
        } catch (ProcessFailedException|ProcessTimedOutException|ImagickException|BadFile $error) {
            // Refused where the file is beyond it, or the program is not there: told, since a smaller copy is kept then.
            report($error);

            return false;
        }
    }

    /** Texts and parts of other programs go unread; what is left tells of the way up at most. */
    private static function png(string $path): void
    {
        $plain = PngChunks::plain($path);
        rename($plain, $path);
        if (str_contains((string) file_get_contents($path), 'eXIf')) {
            self::rewritten($path);
        }
    }

    private static function webp(string $path): void
    {
        self::rewritten($path);
        $bytes = (string) file_get_contents($path);
        $kept = '';
        for ($at = 12; $at + 8 <= strlen($bytes); $at += 8 + $length + ($length % 2)) {
            $length = self::number('V', $bytes, $at + 4);
            if (in_array(substr($bytes, $at, 4), self::WEBP, true)) {
                $kept .= substr($bytes, $at, 8 + $length + ($length % 2));
            }
        }
        file_put_contents($path, 'RIFF'.pack('V', 4 + strlen($kept)).'WEBP'.$kept);
    }

    /** Where things are is told by their distance from the beginning: what goes is written over. */
    private static function heic(string $path): void
    {
        self::rewritten($path);
        $bytes = (string) file_get_contents($path);
        for ($at = 0; $at + 8 <= strlen($bytes); $at += $length) {
            $length = self::number('N', $bytes, $at);
            // 0: to the end; 1: its length follows, as it does for pixels alone.
            $length = $length === 1 ? self::number('J', $bytes, $at + 8) : ($length === 0 ? strlen($bytes) - $at : $length);
            if ($length < 8 || $at + $length > strlen($bytes)) {
                $bytes = substr($bytes, 0, $at);
                break;
            }
            if (! in_array(substr($bytes, $at + 4, 4), self::HEIC, true)) {
                $bytes = substr_replace($bytes, 'free'.str_repeat("\0", $length - 8), $at + 4, $length - 4);
            }
        }
        file_put_contents($path, $bytes);
    }

    /** Captions and what tells of the picture lie side by side there: it is written again, with nothing lost of the picture. */
    private static function tiff(string $path): void
    {
        $from = new Imagick();
        $from->readImage("tiff:{$path}[0]");
        $profiles = $from->getImageProfiles('icc', true);
        $way = $from->getImageOrientation();
        $from->stripImage();
        foreach ($profiles as $name => $profile) {
            $from->profileImage((string) $name, (string) $profile);
        }
        $from->setImageOrientation($way);
        $from->setImageCompression(Imagick::COMPRESSION_ZIP);
        $from->writeImage("tiff:$path");
    }

    private static function rewritten(string $path): void
    {
        Process::timeout(self::SECONDS)
            ->run(['exiftool', '-q', '-q', '-m', '-P', '-overwrite_original', ...self::PROFILE_AND_ORIENTATION, '--', $path])
            ->throw();
    }

    private static function number(string $form, string $bytes, int $at): int
    {
        $read = unpack($form, substr($bytes, $at, $form === 'J' ? 8 : 4));

        return is_array($read) && is_int($read[1] ?? null)
            ? $read[1]
            : throw BadFile::because('The picture is damaged and can’t be read to its end; export it again from the original.');
    }
}
