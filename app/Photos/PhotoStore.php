<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Photo;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;

/**
 * Keeps photos outside the web root, under keys that nobody can guess: the original, the working copy, its pixels, and smaller
 * copies for looking and for zones, which are made when first asked for. Only the original is irreplaceable, and may lie in a bucket
 * that several machines share: whatever else is missing or of the wrong length on this machine is made again from it.
 */
final class PhotoStore
{
    /** Longest side, pixels, of what is looked at on the screen, and of what zones are found in. */
    public const SCREEN_SIDE = 720;

    public const GRID_SIDE = 240;

    public const FOLDER = 'photos';

    public function __construct(private readonly PhotoIntake $intake)
    {
    }

    /** @throws \Throwable when the disk does not take them all; nothing of them is left then */
    public function keep(string $originalPath, WorkingCopy $copy): string
    {
        $key = self::FOLDER.'/'.Str::random(40);
        $plain = tempnam(sys_get_temp_dir(), 'kp-photo-') ?: throw new \RuntimeException('No temporary file can be made.');
        try {
            if (! copy($originalPath, $plain)) {
                throw new \RuntimeException('The uploaded file vanished, or the disk is full.');
            }
            // What tells of no place, and can be read by whatever comes after: at worst smaller than it came.
            $original = Metadata::takeOut($plain) ? fopen($plain, 'r') : false;
            (new WholeFiles(Storage::disk()))->put(self::pathOfOriginal($key), is_resource($original) ? $original : $copy->jpeg);
            $this->keepCopy($key, $copy);
        } catch (\Throwable $error) {
            // Where nothing can be kept, it may be that nothing can be removed either; the sweep finds it then.
            rescue(fn () => $this->forget($key), report: false);

            throw $error;
        } finally {
            @unlink($plain);
        }

        return $key;
    }

    /** Bytes of all that is made of a photo, its smaller copies included. */
    public static function bytesOf(WorkingCopy $copy): int
    {
        $bytes = strlen($copy->jpeg) + strlen($copy->pixels);
        foreach ([self::SCREEN_SIDE, self::GRID_SIDE] as $side) {
            [$width, $height] = Raster::within($copy->width, $copy->height, $side);
            $bytes += 3 * $width * $height;
        }

        return $bytes;
    }

    public function forget(string $key): void
    {
        Storage::delete(self::pathOfOriginal($key));
        self::here()->deleteDirectory($key);
    }

    /** The path under which a photo's original lies on whatever disk keeps them. */
    public static function pathOfOriginal(string $key): string
    {
        return "$key/original";
    }

    public function jpeg(Photo $photo): string
    {
        $path = "$photo->storage_key/working.jpg";
        $jpeg = self::here()->exists($path) ? (string) self::here()->get($path) : '';
        if ($jpeg !== '' && ! CutOff::isCutOff('JPEG', $jpeg)) {
            return $jpeg;
        }
        $this->makeAgain($photo);

        return (string) self::here()->get($path);
    }

    /** The file as it came. */
    public function original(Photo $photo): string
    {
        return (string) Storage::get(self::pathOfOriginal($photo->storage_key));
    }

    public function originalBytes(Photo $photo): int
    {
        return Storage::size(self::pathOfOriginal($photo->storage_key));
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
        $pixels =
            $balance === null ? $small->pixels : $balance->applied(new PixelWindow($small->width, $small->height, $small->pixels))->bytes;

        return PixelGrid::ofSrgb($small->width, $small->height, $pixels);
    }

    /** Only the rows that the window needs are read, so a spot costs the same on any photo. */
    public function window(Photo $photo, int $left, int $top, int $width, int $height): PixelWindow
    {
        $stream = self::here()->readStream($this->pixels($photo));
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
        if (self::isWhole($path, 3 * $width * $height)) {
            return new Raster($width, $height, (string) self::here()->get($path));
        }
        $small = Raster::scaled(
            new WorkingCopy($photo->width, $photo->height, '', (string) self::here()->get($this->pixels($photo))),
            $side,
        );
        // Found without it, it is only found more slowly: a full disk is no reason not to look.
        rescue(fn () => (new WholeFiles(self::here()))->put($path, $small->pixels));

        return $small;
    }

    /** @return string path of the working copy's pixels, all of which are there */
    private function pixels(Photo $photo): string
    {
        $path = "$photo->storage_key/working.rgb";
        if (! self::isWhole($path, 3 * $photo->width * $photo->height)) {
            $this->makeAgain($photo);
        }

        return $path;
    }

    private static function isWhole(string $path, int $bytes): bool
    {
        return self::here()->exists($path) && self::here()->size($path) === $bytes;
    }

    private function makeAgain(Photo $photo): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'kp');
        try {
            file_put_contents($path, Storage::exists(self::pathOfOriginal($photo->storage_key)) ? $this->original($photo) : '');
            $copy = $this->intake->take($path);
        } catch (BadFile $bad) {
            throw BadFile::because(
                "The file of the photo \"$photo->name\" is damaged on the disk; add the photo again and use it for the colours.",
            );
        } finally {
            unlink($path);
        }
        $this->keepCopy($photo->storage_key, $copy);
    }

    private function keepCopy(string $key, WorkingCopy $copy): void
    {
        $files = new WholeFiles(self::here());
        $files->put("$key/working.jpg", $copy->jpeg);
        $files->put("$key/working.rgb", $copy->pixels);
    }

    /** The disk of this machine, for what is made from originals: it is read by rows of pixels, which a bucket is too far off for. */
    private static function here(): Filesystem
    {
        return Storage::disk('local');
    }
}
