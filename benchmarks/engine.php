<?php

declare(strict_types=1);

// The core alone: kernels, fit, search. With --kernels only the two hot loops, to compare with the compiler off.

use Benchmarks\Table;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\RecipePlanner;

require __DIR__.'/../vendor/autoload.php';

/** Twenty ordinary colours of stone, rope, rust, water, leaves and cloth; the tests use the same. */
const ORDINARY_COLOURS = [
    '#6e8f7c',
    '#b9a98a',
    '#7a4a2e',
    '#4a6178',
    '#d9d4c8',
    '#2b2a2e',
    '#8a7f70',
    '#a0522d',
    '#354a3c',
    '#c2b280',
    '#5c6b73',
    '#9db4b0',
    '#3b2a20',
    '#e6dccb',
    '#708090',
    '#556b2f',
    '#b5651d',
    '#cfd8dc',
    '#1f2a36',
    '#8b8589',
];

/** Colours of the demo's two photos, every one as likely as it is large in the picture: a grid of 8 × 6 means of 8 × 8 pixels.
 *
 * @return list<string>
 */
function photoColours(string $file): array
{
    $image = new Imagick($file);
    $image->resizeImage(240, 180, Imagick::FILTER_BOX, 1);
    $colours = [];
    for ($y = 15; $y < 180; $y += 30) {
        for ($x = 15; $x < 240; $x += 30) {
            $pixel = $image->getImagePixelColor($x, $y)->getColor();
            $colours[] = sprintf('#%02x%02x%02x', $pixel['r'], $pixel['g'], $pixel['b']);
        }
    }

    return $colours;
}

/**
 * @param  list<string>  $hexes
 * @return array{list<float>, list<float>, list<float>} seconds, error of the colour on paper, of the surest, and of the nearest single
 *   pencil
 */
function search(RecipePlanner $planner, array $hexes): array
{
    $times = $surest = $single = [];
    foreach ($hexes as $hex) {
        $target = Lab::ofHex($hex);
        [$times[]] = Table::times(1, function () use ($planner, $target, &$surest): void {
            $surest[] = $planner->recipesFor($target)[0]->answer->colourError();
        });
        $single[] = $planner->nearestSingle($target)->colourError();
    }

    return [$times, $surest, $single];
}

$text = (string) file_get_contents(__DIR__.'/../demo/drawer.csv');
$records = DrawerFile::records($text);
$fits = Table::times(count($records), static fn (int $i): Pencil => PencilFit::of($records[$i]));
$one = PencilFit::of($records[3]);
$paper = Paper::whiteMedium();
$lay = static function (int $passes) use ($paper, $one): Sheet {
    $sheet = new Sheet($paper);
    for ($i = 0; $i < $passes; $i++) {
        LayPass::onto($sheet, $one, 0.35);
    }

    return $sheet;
};
$lay(10);
$sheet = $lay(2);

$jit = opcache_get_status(false)['jit']['on'] ?? false;
Table::head('engine, JIT '.($jit ? 'on' : 'off'));
Table::row(
    'one pass laid (6 strata × 36 bands)',
    array_map(
        static fn (float $s): float => ($s / 2000) * 1e6,
        Table::times(15, static fn () => array_map(static fn () => $lay(4), range(1, 500))),
    ),
    'µs',
    '',
    2,
);
Table::row(
    'colour of a sheet',
    array_map(
        static fn (float $s): float => ($s / 2000) * 1e6,
        Table::times(15, static function () use ($sheet): void {
            for ($i = 0; $i < 2000; $i++) {
                Lab::ofReflectance($sheet->meanReflectance());
            }
        }),
    ),
    'µs',
    '',
    2,
);
if (in_array('--kernels', $argv, true)) {
    exit();
}
Table::row('fit of one pencil from three swatches', array_map(static fn (float $s): float => $s * 1e3, $fits), 'ms');

$drawer = DrawerFile::drawer($text);
Table::row(
    'planner made ready, 24 pencils',
    array_map(static fn (float $s): float => $s * 1e3, Table::times(7, static fn () => new RecipePlanner($drawer, $paper, Method::free()))),
    'ms',
);
$planner = new RecipePlanner($drawer, $paper, Method::free());
[$times, $surest, $single] = search($planner, ORDINARY_COLOURS);
Table::row(
    'four recipes for one colour, 24 pencils, up to 5 passes',
    array_map(static fn (float $s): float => $s * 1e3, $times),
    'ms',
    'p95 under 300',
);
Table::row('  20 ordinary colours: error of the colour on paper, of the surest', $surest, '', '', 2);
Table::row('  20 ordinary colours: the same of the nearest single pencil', $single, '', '', 2);
foreach (['morning', 'evening'] as $light) {
    [, $surest, $single] = search($planner, photoColours(__DIR__."/../demo/photos/low-water-$light.jpg"));
    Table::row("  48 colours of the $light photo: error of the colour on paper, of the surest", $surest, '', '', 2);
    Table::row("  48 colours of the $light photo: the same, nearest single pencil", $single, '', '', 2);
}
printf("%-58s %12s\n", 'peak memory', round(memory_get_peak_usage(true) / 1e6).' MB');
