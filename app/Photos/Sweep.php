<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Photo;
use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\Storage;

/**
 * Removes the files of photos that no row knows: what a machine left that stopped between writing the one and the other, what could not
 * be removed at its time, and what this machine made of a photo that was removed through another.
 */
final class Sweep
{
    /**
     * A photo on its way in has files before it has a row; and who puts an older database back has time to find out that a newer one was
     * wanted.
     */
    private const LEAST_AGE_SECONDS = 7 * 24 * 3600;

    private const PASSING_SECONDS = 2 * 3600;

    /** @return int how many photos' files were removed, on the disk and in the bucket together */
    public static function now(): int
    {
        $disks = array_unique([Storage::getDefaultDriver(), 'local']);

        return array_sum(array_map(static fn (string $name): int => self::of(Storage::disk($name)), $disks));
    }

    private static function of(Filesystem $disk): int
    {
        $removed = 0;
        foreach (array_chunk($disk->directories(PhotoStore::FOLDER), 500) as $folders) {
            $known = Photo::query()->whereIn('storage_key', $folders)->pluck('storage_key')->all();
            foreach (array_diff($folders, $known) as $folder) {
                $files = $disk->files($folder);
                $newest = max([0, ...array_map(static fn (string $file): int => $disk->lastModified($file), $files)]);
                // Asked again last of all: its row may have come meanwhile.
                if (time() - $newest >= self::LEAST_AGE_SECONDS && ! Photo::query()->where('storage_key', $folder)->exists()) {
                    // One by one: not every bucket takes many at once.
                    $disk->delete($files);
                    $disk->deleteDirectory($folder);
                    $removed++;
                }
            }
        }

        return $removed;
    }

    /** Passing files of what was killed, or ran out of time: nothing that goes on uses one for so long. */
    public static function passing(): int
    {
        $old = array_filter(
            glob(dirname(storage_path()).'/tmp/{kp,php}*', GLOB_BRACE) ?: [],
            static fn (string $file): bool => is_file($file) && time() - (int) @filemtime($file) > self::PASSING_SECONDS,
        );

        return count(array_filter($old, static fn (string $file): bool => @unlink($file)));
    }
}
