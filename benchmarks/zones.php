<?php

declare(strict_types=1);

// How zones are found, by touching places and by local colour, in one run: how well they keep to a photo's edges and to its local colours,
// and what comes of them: the picture to come beside the photo, error on paper, passes, pencils, and how evenly film lies. ./bench --zones
// [FOLDER of photographs] runs it; it takes some minutes. docs/photo.md says what the figures are.

use App\Photos\PhotoIntake;
use App\Photos\Raster;
use Benchmarks\ByPlace\ZonesByPlace;
use Benchmarks\Scenes;
use Benchmarks\Seen\Beside;
use Benchmarks\Seen\SmoothGrain;
use Benchmarks\Table;
use Benchmarks\ZoneBorders;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Regions\LocalColour;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\Preview;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

require __DIR__.'/../vendor/autoload.php';

const MOST = 12;
const WIDE_MM = 297.0;
/** Pixels of the pictures to come. */
const WIDE = 1154;

$ways = [
    'by place' => static fn (PixelGrid $grid): ZoneMap => ZonesByPlace::in($grid, MOST),
    'by local colour' => static fn (PixelGrid $grid): ZoneMap => ZoneMap::proposed($grid, MOST),
];
/** And the same planned as if all of it were rough: how it was laid when grain hardly counted. */
$planned = [
    ...$ways,
    'as if all rough' => static function (PixelGrid $grid) use ($ways): ZoneMap {
        $map = $ways['by local colour']($grid);

        return $map->being(array_map(static fn (): Surface => Surface::Rough, $map->zones));
    },
];

Table::head(sprintf('zones proposed, at most %d: share of their borders that lies on an edge of the photo, and gradients cut', MOST));
foreach ($ways as $way => $find) {
    $shares = $cuts = $times = [];
    foreach (Scenes::all($argv[1] ?? null) as $name => $grid) {
        $start = hrtime(true);
        $map = $find($grid);
        $times[] = (hrtime(true) - $start) / 1e9;
        $borders = new ZoneBorders($grid, $map->labels);
        $shares[] = $borders->onEdges();
        $cuts[] = count($borders->cutGradients());
        printf(
            "%-16s %-16s %3d zones %8.1f %% on edges   %d gradients cut\n",
            $way,
            $name,
            count($map->zones),
            100 * $borders->onEdges(),
            count($borders->cutGradients()),
        );
    }
    printf("%-58s %9.1f %%\n", "$way: share of borders on edges, mean", (100 * array_sum($shares)) / count($shares));
    printf("%-58s %9d     none\n", '  gradients cut', array_sum($cuts));
    Table::row('  zones proposed', $times, 's', 'under 2', 2);
}

/** The photo from its zones' local colours, mean ΔE00. */
function fromLocalColours(PixelGrid $grid, ZoneMap $map): float
{
    $pixels = [];
    foreach ($map->labels->numbers() as $at => $zone) {
        $pixels[$zone][] = $at;
    }
    $sum = 0.0;
    foreach ($pixels as $own) {
        $line = LocalColour::of($grid, $own);
        $sum += array_sum(array_map(static fn (int $at): float => $grid->lab($at)->deltaE00($line->at($grid->l[$at])), $own));
    }

    return $sum / $grid->count();
}

/** What an ordinary hand adds, ΔE00 in the mean. */
function swayOf(PlannedPicture $plan): float
{
    $sum = $weight = 0.0;
    foreach ($plan->answers() as $answer) {
        foreach ($answer->outcomes as $outcome) {
            $sum += $outcome->shade->weight * $outcome->sway();
            $weight += $outcome->shade->weight;
        }
    }

    return $sum / max(1e-9, $weight);
}

/** Passes, coats that are alike and follow each other once: as one reads and ticks them. */
function stepsOf(PlannedPicture $plan): int
{
    return array_sum(array_map(static fn (SequenceAnswer $a): int => count($a->words()->steps()), $plan->answers()));
}

$drawer = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));
$shelf = new MemoryShelf();
$files = [
    'demo, morning' => __DIR__.'/../demo/photos/low-water-morning.jpg',
    'demo, evening' => __DIR__.'/../demo/photos/low-water-evening.jpg',
];
foreach (isset($argv[1]) ? (glob(rtrim($argv[1], '/').'/*.{png,jpg,jpeg}', GLOB_BRACE) ?: []) : [] as $file) {
    $files[pathinfo($file, PATHINFO_FILENAME)] = $file;
}
printf(
    "\n%-16s %-16s %6s %7s %8s %8s %8s %8s %8s %7s %8s %8s %8s %8s\n",
    'what comes of it',
    '',
    'zones',
    'pieces',
    'local',
    '2 mm',
    '0.3 mm',
    'step',
    'paper',
    'passes',
    'pencils',
    'time',
    'grain',
    'above 12',
);
// Error on paper of the colours alone; grain of what is not rough.
$ratios = $evener = $grains = [];
foreach ($files as $name => $file) {
    $copy = (new PhotoIntake())->take($file);
    [$small, $large] = [Raster::scaled($copy, 240), Raster::sized($copy, WIDE, (int) round((WIDE * $copy->height) / $copy->width))];
    $grid = PixelGrid::ofSrgb($small->width, $small->height, $small->pixels);
    $figures = [];
    $seen = $ways['by local colour']($grid)->zones;
    foreach ($planned as $way => $find) {
        $map = $find($grid);
        $start = hrtime(true);
        $plan = (new PlanPicture($drawer, Paper::whiteMedium(), shelf: $shelf))->whole($grid, $map);
        $seconds = (hrtime(true) - $start) / 1e9;
        $preview = new Preview($plan->paper, $plan->map->labels, $grid, DrawnZone::all($plan));
        $drawn = $preview->after(
            PassesLaid::whole(),
            $preview->material(PixelGrid::ofSrgb($large->width, $large->height, $large->pixels), WIDE_MM),
        );
        $fitted = Beside::fitted($plan->tone, $large);
        $of = static fn (float $mm): float => Beside::apart(
            Beside::seen($fitted, $large->width, $large->height, ($mm * $large->width) / WIDE_MM),
            Beside::seen($drawn, $large->width, $large->height, ($mm * $large->width) / WIDE_MM),
        )[0];
        [$grain, $grainy] = SmoothGrain::of($plan, $way === 'by place' ? $map->zones : $seen);
        $grains[$way][] = [$grain, 100 * $grainy];
        $figures[$way] = [
            'local' => fromLocalColours($grid, $map),
            '2 mm' => $of(2.0),
            '0.3 mm' => $of(0.3),
            'paper' => $plan->colourError(),
            'passes' => (float) stepsOf($plan),
            'pencils' => (float) count($plan->palette()),
            'time' => $seconds,
            'sway' => swayOf($plan),
            'step' => (new ZoneBorders($grid, $map->labels))->stepsIn(
                Raster::resized($large->width, $large->height, $drawn, $grid->width, $grid->height),
            ),
        ];
        $f = $figures[$way];
        printf(
            "%-16s %-16s %6d %7d %8.2f %8.2f %8.2f %8.2f %8.2f %7d %8d %6.1f s %8.1f %6d %%\n",
            $name,
            $way,
            count($map->zones),
            count(Patchwork::byPiece($map->labels->numbers(), $grid->width, $grid->height)),
            $f['local'],
            $f['2 mm'],
            $f['0.3 mm'],
            $f['step'],
            $f['paper'],
            $f['passes'],
            $f['pencils'],
            $f['time'],
            $grain,
            (int) round(100 * $grainy),
        );
    }
    foreach ($figures['by local colour'] as $what => $value) {
        $ratios[$what][] = $value / max(1e-9, $figures['by place'][$what]);
        $evener[$what][] = $value / max(1e-9, $figures['as if all rough'][$what]);
    }
}
foreach (
    [
        'local' => 'mean 0.65, none above 0.8',
        '2 mm' => 'mean 0.75, none above 0.9',
        '0.3 mm' => 'mean 0.8, none above 0.9',
        'paper' => 'mean 0.95, above 1 on none',
        'passes' => 'no more',
        'pencils' => 'no more',
        'time' => 'no more',
    ] as $what => $wanted
) {
    printf(
        "%-58s %9.2f   highest %.2f   wanted: %s\n",
        "by local colour, of by place: $what",
        array_sum($ratios[$what]) / count($ratios[$what]),
        max($ratios[$what]),
        $wanted,
    );
}

Table::head("\nevenness: zones by local colour beside the same planned as if all were rough");
foreach ([0 => ['grain of what is not rough, L*', 'mean 5'], 1 => ['share of that above 12, %', 'mean 8']] as $i => [$what, $wanted]) {
    $of = static fn (string $way): array => array_column($grains[$way], $i);
    printf(
        "%-58s %9.1f   highest %.1f   before %.1f   wanted: %s\n",
        $what,
        array_sum($of('by local colour')) / count($of('by local colour')),
        max($of('by local colour')),
        array_sum($of('as if all rough')) / count($of('as if all rough')),
        $wanted,
    );
}
foreach (
    [
        'paper' => 'mean 1.03', 'sway' => 'below 1', 'passes' => 'mean 1.15', 'time' => 'mean 1.15', '2 mm' => '', '0.3 mm' => '',
    ] as $what => $wanted
) {
    printf(
        "%-58s %9.2f   highest %.2f   wanted: %s\n",
        "of as if all rough: $what",
        array_sum($evener[$what]) / count($evener[$what]),
        max($evener[$what]),
        $wanted,
    );
}
