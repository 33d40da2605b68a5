<?php

declare(strict_types=1);

namespace App\Cache;

/**
 * Names the code that is running: what was worked out by other code is never taken for its own. Read once when the application starts
 * (config/build.php, kept with the rest of the configuration).
 */
final class Build
{
    /** @return string of core and application, 16 hexadecimal digits */
    public static function whole(): string
    {
        return self::named('whole');
    }

    /** @return string of the core alone, which is all that atlases follow from */
    public static function core(): string
    {
        return self::named('core');
    }

    /**
     * @param  list<string>  $folders
     * @return string 16 hexadecimal digits that follow from names and contents of all PHP files below the folders
     */
    public static function of(array $folders): string
    {
        /** @var array<string, string> $known by folders: code does not change under a process that runs it */
        static $known = [];
        $all = implode("\n", $folders);
        if (isset($known[$all])) {
            return $known[$all];
        }
        $hash = hash_init('xxh64');
        foreach ($folders as $folder) {
            $files = [];
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
                if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                    $files[substr($file->getPathname(), strlen($folder))] = $file->getPathname();
                }
            }
            ksort($files);
            foreach ($files as $name => $path) {
                hash_update($hash, $name.' '.hash_file('xxh64', $path)."\n");
            }
        }

        return $known[$all] = hash_final($hash);
    }

    private static function named(string $what): string
    {
        $name = config("build.$what");

        return is_string($name) ? $name : throw new \LogicException('The build has no name: config/build.php.');
    }
}
