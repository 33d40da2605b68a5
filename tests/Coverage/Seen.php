<?php

declare(strict_types=1);

namespace Tests\Coverage;

/**
 * Which branches of core and application a process has been through. Classes are loaded from copies in which every branch notes itself, so
 * that the just-in-time compiler stays on: extensions that count lines switch it off, and the search would take three times as long.
 */
final class Seen
{
    /** @var array<string, array<int, bool>> by file, then number of the branch */
    public static array $at = [];

    private static string $folder;

    /** @param  string  $folder  for copies and what was seen */
    public static function into(string $folder, string $root): void
    {
        self::$folder = $folder;
        is_dir($folder) || @mkdir($folder, recursive: true);
        spl_autoload_register(static function (string $class) use ($root): void {
            $file = match (true) {
                str_starts_with($class, 'App\\') => 'app/'.strtr(substr($class, 4), '\\', '/').'.php',
                str_starts_with($class, 'KnottyPrism\\Core\\') => 'core/'.strtr(substr($class, 17), '\\', '/').'.php',
                default => null,
            };
            if ($file !== null && is_file("$root/$file")) {
                require self::copyOf($root, $file);
            }
        }, prepend: true);
        $process = getmypid();
        register_shutdown_function(static function () use ($process): void {
            // A forked child has its parent's notes as well; the parent keeps its own.
            file_put_contents(
                self::$folder.'/seen-'.getmypid().($process === getmypid() ? '' : '-child').'.json',
                json_encode(array_map(array_keys(...), self::$at)),
            );
        });
    }

    private static function copyOf(string $root, string $file): string
    {
        $source = (string) file_get_contents("$root/$file");
        $copy = self::$folder.'/'.hash('xxh128', $file.$source.filemtime(__DIR__.'/Branches.php')).'.php';
        if (! is_file($copy)) {
            $part = $copy.'.'.getmypid();
            file_put_contents($part, Branches::noted($source, "$root/$file", $file));
            // Files of the last two seconds are not compiled ahead, and loops in them stay slow.
            touch($part, time() - 60);
            rename($part, $copy);
        }

        return $copy;
    }
}
