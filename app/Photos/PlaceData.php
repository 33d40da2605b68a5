<?php

declare(strict_types=1);

namespace App\Photos;

use Illuminate\Process\Exceptions\ProcessFailedException;
use Illuminate\Process\Exceptions\ProcessTimedOutException;
use Illuminate\Support\Facades\Process;

/**
 * Takes out of a photo's file what it tells of the place where it was taken, and of whose camera took it, before anything of it is kept: the
 * file goes on in study and account files. Which way up it is and what its numbers mean stay in it.
 */
final class PlaceData
{
    /** GPS of the camera and of phones' own notes, captions with addresses, and whatever is appended behind the picture. */
    private const LEFT_OUT = ['-gps:all=', '-xmp:all=', '-iptc:all=', '-makernotes:all=', '-SerialNumber=', '-OwnerName=', '-Artist=', '-Comment=', '-trailer:all='];

    private const SECONDS = 20;

    private const END_OF_PNG = "\0\0\0\0IEND\xAE\x42\x60\x82";

    /**
     * @param  string  $path  of a copy of the file, which is changed
     * @return bool whether it could be done; a file that can't be read so far is to be kept another way
     */
    public static function takeOut(string $path): bool
    {
        if (self::tellsNothing($path)) {
            return true;
        }
        try {
            // Refused where the file is beyond it, or the program is not there: told, since a smaller copy is kept then.
            Process::timeout(self::SECONDS)->run(['exiftool', '-q', '-q', '-m', '-P', '-overwrite_original', ...self::LEFT_OUT, '--', $path])->throw();

            return true;
        } catch (ProcessFailedException|ProcessTimedOutException $error) {
            report($error);

            return false;
        }
    }

    /** A PNG with no part that could tell, and nothing behind its end, as drawing programs write it: the common case that needs no program. */
    private static function tellsNothing(string $path): bool
    {
        $bytes = (string) file_get_contents($path);

        return str_starts_with($bytes, "\x89PNG") && str_ends_with($bytes, self::END_OF_PNG) && preg_match('/eXIf|tEXt|zTXt|iTXt/', $bytes) === 0;
    }
}
