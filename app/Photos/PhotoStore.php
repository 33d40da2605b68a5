<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Photo;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use KnottyPrism\Core\Photo\NeutralBalance;
use KnottyPrism\Core\Photo\PixelGrid;
use KnottyPrism\Core\Photo\PixelWindow;

/**
 * Keeps photos outside the web root, under keys that nobody can guess: the original, the working copy, its pixels, and smaller
 * copies for looking and for zones, which are made when first asked for.
 */
final class PhotoStore
{
    /** Longest side, pixels, of what is looked at on the screen, and of what zones are found in. */
    public const SCREEN_SIDE = 720;

    public const GRID_SIDE = 240;

    public function keep(string $originalPath, WorkingCopy $copy): string
    {
        $key = 'photos/'.Str::random(40);
        $original = fopen($originalPath, 'r');
        Storage::writeStream("$key/original", is_resource($original) ? $original : throw new \RuntimeException('The uploaded file vanished.'));
        Storage::put("$key/working.jpg", $copy->jpeg);
        Storage::put("$key/working.rgb", $copy->pixels);

        return $key;
    }

    public function forget(string $key): void
    {
        Storage::deleteDirectory($key);
    }

    public function jpeg(Photo $photo): string
    {
        return (string) Storage::get($photo->storage_key.'/working.jpg');
    }

    /** The whole photo at screen size. */
    public function screen(Photo $photo): PixelWindow
    {
        $small = $this->scaled($photo, self::SCREEN_SIDE);

        return new PixelWindow($small->width, $small->height, $small->pixels);
    }

    /** The whole photo as a grid for zones, as it looks in neutral light where it was balanced. */
    public function grid(Photo $photo, ?NeutralBalance $balance): PixelGrid
    {
        $small = $this->scaled($photo, self::GRID_SIDE);
        $pixels = $balance === null ? $small->pixels : $balance->applied(new PixelWindow($small->width, $small->height, $small->pixels))->bytes;

        return PixelGrid::ofSrgb($small->width, $small->height, $pixels);
    }

    /** Only the rows that the window needs are read, so a spot costs the same on any photo. */
    public function window(Photo $photo, int $left, int $top, int $width, int $height): PixelWindow
    {
        $stream = Storage::readStream($photo->storage_key.'/working.rgb');
        if (! is_resource($stream)) {
            throw new \RuntimeException('The photo is missing from the storage.');
        }
        $bytes = '';
        for ($y = $top; $y < $top + $height; $y++) {
            fseek($stream, 3 * ($y * $photo->width + $left));
            $bytes .= (string) stream_get_contents($stream, 3 * $width);
        }
        fclose($stream);

        return new PixelWindow($width, $height, $bytes);
    }

    private function scaled(Photo $photo, int $side): Raster
    {
        $path = "$photo->storage_key/side-$side.rgb";
        [$width, $height] = Raster::within($photo->width, $photo->height, $side);
        if (Storage::exists($path)) {
            return new Raster($width, $height, (string) Storage::get($path));
        }
        $small = Raster::scaled(new WorkingCopy($photo->width, $photo->height, '', (string) Storage::get($photo->storage_key.'/working.rgb')), $side);
        Storage::put($path, $small->pixels);

        return $small;
    }
}
