<?php

declare(strict_types=1);

namespace App\Cache;

/** Files of a folder that can be made again: how much they are, and that they do not become more. */
final class KeptFiles
{
    /** Bytes, of all files below. */
    public static function bytes(string $folder): int
    {
        return array_sum(array_map(static fn (\SplFileInfo $file): int => $file->getSize(), self::of($folder)));
    }

    /** Removes the oldest where there is more than that, until a quarter of it is free again. */
    public static function shrink(string $folder, int $mostBytes): void
    {
        $files = self::of($folder);
        $bytes = array_sum(array_map(static fn (\SplFileInfo $file): int => $file->getSize(), $files));
        if ($bytes <= $mostBytes) {
            return;
        }
        usort($files, static fn (\SplFileInfo $a, \SplFileInfo $b): int => $a->getMTime() <=> $b->getMTime());
        foreach ($files as $file) {
            if ($bytes <= 0.75 * $mostBytes) {
                return;
            }
            $bytes -= $file->getSize();
            @unlink($file->getPathname());
        }
    }

    /** @return int how many went */
    public static function removeOlder(string $folder, int $seconds): int
    {
        return count(
            array_filter(
                self::of($folder),
                static fn (\SplFileInfo $file): bool => time() - $file->getMTime() > $seconds && @unlink($file->getPathname()),
            ),
        );
    }

    /** @return list<\SplFileInfo> one that goes in that moment is left out */
    private static function of(string $folder): array
    {
        if (! is_dir($folder)) {
            return [];
        }
        $found = [];
        foreach (
            new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS),
                \RecursiveIteratorIterator::LEAVES_ONLY,
                \RecursiveIteratorIterator::CATCH_GET_CHILD,
            ) as $file
        ) {
            /** @var \SplFileInfo $file */
            if (@is_file($file->getPathname())) {
                $found[] = $file;
            }
        }

        return $found;
    }
}
