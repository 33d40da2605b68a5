<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Study;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use KnottyPrism\Core\Photo\PixelWindow;

/** Keeps photos outside the web root, under keys that nobody can guess: the original, the working copy, and its pixels. */
final class PhotoStore
{
    public function keep(string $originalPath, WorkingCopy $copy): string
    {
        $key = 'photos/'.Str::random(40);
        $original = fopen($originalPath, 'r');
        Storage::writeStream("$key/original", is_resource($original) ? $original : throw new \RuntimeException('The uploaded file vanished.'));
        Storage::put("$key/working.jpg", $copy->jpeg);
        Storage::put("$key/working.rgb", $copy->pixels);

        return $key;
    }

    public function jpeg(Study $study): string
    {
        return (string) Storage::get($study->photo_key.'/working.jpg');
    }

    /** Only the rows that the window needs are read, so a spot costs the same on any photo. */
    public function window(Study $study, int $left, int $top, int $width, int $height): PixelWindow
    {
        $stream = Storage::readStream($study->photo_key.'/working.rgb');
        if (! is_resource($stream)) {
            throw new \RuntimeException('The photo of this study is missing from the storage.');
        }
        $bytes = '';
        for ($y = $top; $y < $top + $height; $y++) {
            fseek($stream, 3 * ($y * $study->photo_width + $left));
            $bytes .= (string) stream_get_contents($stream, 3 * $width);
        }
        fclose($stream);

        return new PixelWindow($width, $height, $bytes);
    }
}
