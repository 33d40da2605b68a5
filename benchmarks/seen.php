<?php

declare(strict_types=1);

// The picture to come beside its photo, as it is seen from across a room and from half a metre: what is lost by drawing it in so few
// passes. ./bench --seen [FOLDER of photographs [ZONES [PENCILS]]] runs it, with twelve zones at most and the demo's drawer, or with
// others; it takes some minutes.

use App\Photos\PhotoIntake;
use App\Photos\Raster;
use Benchmarks\Seen\Asked;
use Benchmarks\Seen\Beside;
use Benchmarks\Seen\Shelf;
use Benchmarks\Table;
use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Picture\Preview\DrawnShade;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\LaidTones;
use KnottyPrism\Core\Picture\Preview\Material;
use KnottyPrism\Core\Picture\Preview\PressedRun;
use KnottyPrism\Core\Picture\Preview\Preview;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;

require __DIR__.'/../vendor/autoload.php';

const WIDE_MM = 297.0;
/** Pixels of the pictures. */
const WIDE = 1154;

$paper = Paper::whiteMedium();
$most = (int) ($argv[2] ?? 12);
$drawer = isset($argv[3]) ? Shelf::of((int) $argv[3]) : DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));
$shelf = new MemoryShelf();
$folder = $argv[1] ?? null;
$files = [
    'demo, morning' => __DIR__.'/../demo/photos/low-water-morning.jpg',
    'demo, evening' => __DIR__.'/../demo/photos/low-water-evening.jpg',
];
foreach ($folder === null ? [] : (glob("$folder/*.png") ?: []) as $file) {
    $files[basename($file, '.png')] = $file;
}
printf("the picture to come beside its photo, 297 mm wide, %d pencils, at most %d zones\n", count($drawer->usable()->pencils), $most);
printf("%-16s %12s %10s %14s %12s %10s %10s %8s\n", '', '2 mm, ΔE00', '0.3 mm', 'value, steps', 'zones, ΔE00', 'cold', 'a pass', 'MB');
$times = $kept = [];
foreach ($files as $name => $file) {
    $copy = (new PhotoIntake())->take($file);
    // Smaller photographs are enlarged, as for a preview at the drawing's size: a megapixel's time is not that of a piece of it times so
    // much.
    [$small, $large] = [Raster::scaled($copy, 240), Raster::sized($copy, WIDE, (int) round((WIDE * $copy->height) / $copy->width))];
    $cells = PixelGrid::ofSrgb($small->width, $small->height, $small->pixels);
    $plan = (new PlanPicture($drawer, $paper, shelf: $shelf))->whole($cells, ZoneMap::proposed($cells, $most));
    memory_reset_peak_usage();
    $start = hrtime(true);
    $preview = new Preview($paper, $plan->map->labels, $cells, DrawnZone::all($plan));
    $material = $preview->material(PixelGrid::ofSrgb($large->width, $large->height, $large->pixels), WIDE_MM);
    $drawn = $preview->after(PassesLaid::whole(), $material);
    $cold = (hrtime(true) - $start) / 1e9;
    $start = hrtime(true);
    $preview->after(new PassesLaid(2), $material);
    $next = (hrtime(true) - $start) / 1e9;
    $megabytes = memory_get_peak_usage() / 1e6;
    $megapixels = ($large->width * $large->height) / 1e6;
    [$times[], $kept[]] = [$cold / $megapixels, $next / $megapixels];
    $mm = WIDE_MM / $large->width;
    $of = static function (string $wanted, float $blur) use (&$drawn, $large, $mm): array {
        return Beside::apart(
            Beside::seen($wanted, $large->width, $large->height, $blur / $mm),
            Beside::seen($drawn, $large->width, $large->height, $blur / $mm),
        );
    };
    [$far, $near] = [$of($large->pixels, 2.0), $of($large->pixels, 0.3)];
    $whole = $far[0];
    $limits = vsprintf('wanted %.1f, %.1f, 0.25', str_starts_with($name, 'demo') ? [2.0, 3.5] : [3.5, 5.0]);
    printf(
        "%-16s %12.1f %10.1f %14.2f %12.2f %8.2f s %8.2f s %8d   %s\n",
        $name,
        $far[0],
        $near[0],
        $far[1],
        zones($plan, $drawn, $material),
        $cold,
        $next,
        $megabytes,
        $limits,
    );
    $fitted = Beside::fitted($plan->tone, $large);
    [$far, $near] = [$of($fitted, 2.0), $of($fitted, 0.3)];
    printf("%-16s %12.1f %10.1f %14.2f\n", '  its tones fit', $far[0], $near[0], $far[1]);
    $asked = new Asked($plan, $material);
    [$missed, $steps] = $asked->missed();
    printf("%-16s %12.1f %10s %14.2f\n", '  stacks miss', $missed, '', $steps);
    $drawn = $asked->met($drawn);
    [$far, $near] = [$of($large->pixels, 2.0), $of($large->pixels, 0.3)];
    printf(
        "%-16s %12.1f %10.1f %14.2f   %s; both together %.1f, the whole is %+.0f %%\n",
        '  shades met',
        $far[0],
        $near[0],
        $far[1],
        $limits,
        hypot($far[0], $missed),
        100 * ($whole / hypot($far[0], $missed) - 1),
    );
}
printf("%-58s %9.2f s   under 1.5\n", 'a megapixel, cold, median', Table::quantile($times, 0.5));
printf("%-58s %9.2f s   under 0.3\n", '  another pass, median', Table::quantile($kept, 0.5));

/**
 * How far the mean of what is drawn of a zone's run or touch lies from the mean of what the model foresees at its values; the worst of
 * those that cover 2 %.
 */
function zones(PlannedPicture $plan, string $drawn, Material $material): float
{
    $tones = new LaidTones($plan->paper, Illuminant::D65);
    $runs = [];
    foreach (DrawnZone::all($plan) as $zone) {
        array_push($runs, $zone->run, ...array_map(static fn (DrawnShade $s): array => [$s], $zone->touches));
    }
    $decode = array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
    $pixels = [];
    for ($at = 0; $at < $material->width * $material->height; $at++) {
        $pixels[ord($material->looks[$at])][] = $at;
    }
    $worst = 0.0;
    foreach ($runs as $look => $run) {
        $own = $pixels[$look] ?? [];
        if (count($own) < 0.02 * $material->width * $material->height) {
            continue;
        }
        $foreseen = $tones->over(new PressedRun($run, $plan->paper), PHP_INT_MAX);
        $sums = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];
        foreach ($own as $at) {
            $mean = $foreseen[ord($material->levels[$at])]->mean;
            for ($c = 0; $c < 3; $c++) {
                $sums[0][$c] += $decode[ord($drawn[3 * $at + $c])] / count($own);
                $sums[1][$c] += $mean[$c] / count($own);
            }
        }
        $lab = static fn (array $l): Lab => Srgb::ofBytes(
            ...array_map(static fn (float $v): float => 255 * Srgb::encode(max(0.0, $v)), $l),
        )->lab();
        $worst = max($worst, $lab($sums[0])->deltaE00($lab($sums[1])));
    }

    return $worst;
}
