<?php

declare(strict_types=1);

// Ten half-done drawings at three stages, photographed by the bench camera and held against their plan: what is found, against what lies
// there. ./bench --check [FOLDER] runs it; with a folder its pictures are drawn too.

use App\Photos\PhotoIntake;
use App\Photos\Raster;
use Benchmarks\Table;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\DrawnPicture;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\Check\CheckDrawing;
use KnottyPrism\Core\Chart\Check\DrawingPlan;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\PlanPicture;

require __DIR__.'/../vendor/autoload.php';

$drawer = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));
$paper = Paper::whiteMedium();
$planned = static function (string $file) use ($drawer, $paper): DrawingPlan {
    $small = Raster::scaled((new PhotoIntake())->take($file), 240);
    $grid = PixelGrid::ofSrgb($small->width, $small->height, $small->pixels);

    return DrawingPlan::of((new PlanPicture($drawer, $paper, new PlanSettings()))->whole($grid, ZoneMap::proposed($grid, 10)), $grid);
};
$folder = $argv[1] ?? null;
$files = [
    __DIR__.'/../demo/photos/low-water-morning.jpg',
    __DIR__.'/../demo/photos/low-water-evening.jpg',
    ...$folder === null ? [] : (glob("$folder/*.png") ?: []),
];
$plans = array_map($planned, $files);
$off = $zoneOff = $hue = $times = [];
$read = $within = $hued = $hueWithin = $wrong = 0;
for ($n = 0; $n < 10; $n++) {
    $plan = $plans[$n % count($plans)];
    foreach ([1, 2, 60] as $stage => $passes) {
        $seed = 3 * $n + $stage + 1;
        $progress = new PassesLaid($passes);
        $drawn = new DrawnPicture($plan, $progress, 200.0, 18.0, $seed);
        $photo = BenchCamera::photograph($drawn->flat, Shot::ordinary($seed), 1600, $seed);
        $start = hrtime(true);
        try {
            $check = CheckDrawing::of($photo, $plan, $progress, $drawer->pencils);
        } catch (BadPhoto $error) {
            echo "  drawing $n after $passes passes: {$error->getMessage()}\n";

            continue;
        }
        $times[] = (hrtime(true) - $start) / 1e9;
        $read++;
        $zones = [];
        foreach ($check->findings as $f) {
            $there = $drawn->truth[$f->zone->number][array_search($f->shade, $f->zone->shades, true)];
            $off[] = $apart = abs($f->found->l - $there->l);
            $within += $apart <= 2 ? 1 : 0;
            $sum = $zones[$f->zone->number] ?? [0.0, 0.0];
            $zones[$f->zone->number] = [$sum[0] + $f->area * ($f->found->l - $there->l), $sum[1] + $f->area];
            if ($there->chroma() > 12) {
                $hue[] = $turn = abs(fmod($f->found->hueDegrees() - $there->hueDegrees() + 540, 360) - 180);
                $hueWithin += $turn <= 8 ? 1 : 0;
                $hued++;
            }
        }
        array_push($zoneOff, ...array_map(static fn (array $z): float => abs($z[0] / $z[1]), array_values($zones)));
        // The same photo beside the plan of another picture.
        try {
            CheckDrawing::of($photo, $plans[($n + 1) % count($plans)], $progress, $drawer->pencils);
            $wrong++;
        } catch (BadPhoto) {
        }
    }
}
Table::head(
    sprintf(
        '10 drawings of %d pictures at three stages, by a hand that wanders, photographed with everything at ordinary strength',
        count($plans),
    ),
);
printf("%-58s %9d of 30\n", 'found and read without help', $read);
Table::row('L* of a zone, off by', $zoneOff, '', '≤ 2', 2);
printf(
    "%-58s %11.0f %%\n",
    '  within 2',
    (100 * count(array_filter($zoneOff, static fn (float $apart): bool => $apart <= 2))) / max(1, count($zoneOff)),
);
Table::row('L* of a shade, off by', $off, '', '≤ 2', 2);
printf("%-58s %11.0f %%\n", '  within 2', (100 * $within) / max(1, count($off)));
Table::row('hue of a shade where chroma > 12, off by degrees', $hue, '', '≤ 8', 1);
printf("%-58s %11.0f %%\n", '  within 8', (100 * $hueWithin) / max(1, $hued));
printf("%-58s %9d of %d   wanted 0\n", 'taken for the drawing of another plan', $wrong, $read);
Table::row('checking a photo', $times, 's', '', 2);
