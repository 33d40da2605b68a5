<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Photo;
use Aws\Exception\AwsException;
use Illuminate\Support\Facades\Storage;

/** Photos as they came, on the disk or in the bucket that keeps them: carried out of it for a backup, and into it. */
final class Originals
{
    /**
     * Copies every photo's original into a folder, under the same path; what is there already stays. One that is gone is left out.
     *
     * @throws \Throwable when what keeps them does not answer
     */
    public static function fetch(string $folder): void
    {
        $there = new WholeFiles(Storage::build(['driver' => 'local', 'root' => $folder, 'throw' => true]));
        foreach (Photo::query()->orderBy('id')->lazyById() as $photo) {
            $path = PhotoStore::pathOfOriginal($photo->storage_key);
            if (! is_file("$folder/$path") && Storage::exists($path)) {
                $there->put($path, Storage::readStream($path) ?? throw new \RuntimeException("$path can't be read."));
            }
        }
    }

    /**
     * Moves all originals of a folder to where they are kept now.
     *
     * @return int how many
     *
     * @throws \Throwable when one is not kept whole; it and the rest stay where they are
     */
    public static function bring(string $folder): int
    {
        $files = new WholeFiles(Storage::disk());
        $found = glob("$folder/".PhotoStore::FOLDER.'/*/original') ?: [];
        foreach ($found as $file) {
            $path = PhotoStore::pathOfOriginal(PhotoStore::FOLDER.'/'.basename(dirname($file)));
            $files->put($path, fopen($file, 'r') ?: throw new \RuntimeException("$file can't be read."));
            if (Storage::size($path) !== filesize($file)) {
                throw new \RuntimeException("$path was not kept whole.");
            }
            unlink($file);
        }

        return count($found);
    }

    /** Whether a fault came from the bucket: it does not answer, or refuses its key. That one photo is gone is another matter. */
    public static function areAway(\Throwable $error): bool
    {
        for ($cause = $error; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof AwsException && $cause->getStatusCode() !== 404) {
                return true;
            }
        }

        return false;
    }
}
