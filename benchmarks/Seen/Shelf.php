<?php

declare(strict_types=1);

namespace Benchmarks\Seen;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;

/** More pencils than the demo's drawer has. */
final class Shelf
{
    /** So many of both lines' pencils, evenly over them, as if all were owned; all of them where there are not so many. */
    public static function of(int $count): Drawer
    {
        $lines = '';
        foreach (['slipway', 'foghorn'] as $line) {
            $text = str_replace(',no', ',yes', (string) file_get_contents(__DIR__."/../../demo/lines/$line.csv"));
            $lines .= $lines === '' ? $text : substr($text, (int) strpos($text, "\n") + 1);
        }
        $pencils = DrawerFile::drawer($lines)->usable()->pencils;
        $step = max(1.0, count($pencils) / $count);

        return new Drawer(array_map(static fn (int $i) => $pencils[(int) ($i * $step)], range(0, min($count, count($pencils)) - 1)));
    }
}
