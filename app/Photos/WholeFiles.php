<?php

declare(strict_types=1);

namespace App\Photos;

use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Filesystem\LocalFilesystemAdapter;

/**
 * Writes files whole or not at all: under another name first, flushed to the disk, then renamed. A machine that stops, or a disk that
 * is full, leaves no half of a file under a name that is trusted. A bucket does so by itself.
 */
final class WholeFiles
{
    /** What is being written is called so, and nothing else is. */
    public const UNFINISHED = '.unfinished';

    private const AT_ONCE = 1 << 20; // bytes

    public function __construct(private readonly Filesystem $disk)
    {
    }

    /**
     * @param  string|resource  $content
     *
     * @throws \RuntimeException when it can't be written whole
     */
    public function put(string $path, mixed $content): void
    {
        if (! $this->disk instanceof LocalFilesystemAdapter) {
            $this->disk->put($path, $content);

            return;
        }
        $this->disk->makeDirectory(dirname($path));
        $end = $this->disk->path($path);
        $unfinished = $end.'.'.bin2hex(random_bytes(6)).self::UNFINISHED;
        try {
            self::write($unfinished, $content);
            if (! @rename($unfinished, $end)) {
                throw new \RuntimeException("$path can't be put in its place.");
            }
        } catch (\Throwable $error) {
            @unlink($unfinished);

            throw $error;
        }
    }

    /** @param  string|resource  $content */
    private static function write(string $path, mixed $content): void
    {
        $file = @fopen($path, 'xb') ?: throw new \RuntimeException(error_get_last()['message'] ?? "$path can't be written.");
        try {
            if (! is_string($content)) {
                while (! feof($content)) {
                    self::writeAll($file, (string) fread($content, self::AT_ONCE));
                }
            } else {
                self::writeAll($file, $content);
            }
            if (! fflush($file) || ! @fsync($file)) {
                throw self::cutOff();
            }
        } finally {
            fclose($file);
        }
    }

    /** @param  resource  $file */
    private static function writeAll(mixed $file, string $bytes): void
    {
        error_clear_last();
        // Writing stops short where the disk is full; the rest is not tried in vain for ever.
        for ($at = 0, $length = strlen($bytes); $at < $length; $at += $written) {
            $written = @fwrite($file, $at === 0 ? $bytes : substr($bytes, $at));
            if ($written === false || $written === 0) {
                throw self::cutOff();
            }
        }
    }

    private static function cutOff(): \RuntimeException
    {
        return new \RuntimeException(error_get_last()['message'] ?? 'No space left on device');
    }
}
