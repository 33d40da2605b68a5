<?php

declare(strict_types=1);

// Pencils measured from twenty made-up photos with everything at ordinary strength, against what lies there; and hands learned from strips.
// ./bench --camera runs it.

use App\Photos\Raster;
use Benchmarks\Table;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\ReadChart;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\Strip;
use KnottyPrism\Core\Medium\Strips\SuggestedStrips;

require __DIR__.'/../vendor/autoload.php';

const SEEDS = 20;

/** A photo as it comes out of a phone: written as JPEG and read again. */
function asJpeg(Photograph $photo): Photograph
{
    $image = new Imagick();
    $image->readImageBlob(Raster::encoded($photo->width, $photo->height, 3, $photo->pixels, 'jpeg'));
    $image->setImageFormat('rgb');
    $image->setImageDepth(8);

    return new Photograph($photo->width, $photo->height, $image->getImageBlob());
}

/** @return list<float> ΔE00 of every box from what lies there */
function offOf(FilledSheet $filled, ChartReading $reading): array
{
    $truth = [];
    foreach ($filled->truth as [$box, $lab]) {
        $truth[$box->pencil.$box->kind->value] = $lab;
    }

    return array_map(
        static fn ($read): float => $read->lab->deltaE00($truth[$read->box->pencil.$read->box->kind->value]),
        $reading->boxes,
    );
}

$drawer = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));
$pencils = array_combine(Pencil::identifiers($drawer->pencils), $drawer->pencils);
$paper = Paper::whiteMedium();
$sheet = ChartSheet::of(array_keys($pencils), 'a4');
Table::head('24 pencils on A4, made-up photos of 1600 × 1200');
$found = 0;
$off = $plain = $times = $doubts = [];
for ($seed = 1; $seed <= SEEDS; $seed++) {
    $filled = new FilledSheet($sheet, 0, $pencils, $paper, $seed);
    $plain = [
        ...$plain,
        ...offOf($filled, ReadChart::page(asJpeg(BenchCamera::photograph($filled->flat, new Shot(), 1600, $seed)), $sheet, $paper)),
    ];
    $photo = asJpeg(BenchCamera::photograph($filled->flat, Shot::ordinary($seed), 1600, $seed));
    $start = hrtime(true);
    try {
        $reading = ReadChart::page($photo, $sheet, $paper);
    } catch (BadPhoto $error) {
        echo "  photo $seed: {$error->getMessage()}\n";

        continue;
    }
    $times[] = (hrtime(true) - $start) / 1e9;
    $found++;
    $off = [...$off, ...offOf($filled, $reading)];
}
printf("%-58s %9d of %d   wanted %s\n", 'sheets found and read without help', $found, SEEDS, '≥ 19');
Table::row('ΔE00 of a box, photographed as it is', $plain, '', '', 2);
Table::row('ΔE00 of a box, with every disturbance', $off, '', 'median ≤ 2.5', 2);
printf("%-58s %12.2f %15s   wanted ≤ 5\n", '  its p90', Table::quantile($off, 0.9), '');
printf(
    "%-58s %12.2f %15s   wanted ≤ 1.5\n",
    '  what the disturbances cost in the median',
    Table::quantile($off, 0.5) - Table::quantile($plain, 0.5),
    '',
);
Table::row('reading a photo', $times, 's', '< 5', 2);
printf("%-58s %12s %15s   wanted < 500\n", 'peak memory', round(memory_get_peak_usage(true) / 1e6).' MB', '');

mt_srand(5);
$chance = new Chance(5);
/** A stack as a plan has them: one to three passes, light hand first. */
$craft = static function () use ($drawer): Stack {
    $pressures = Pressure::shares();
    $first = mt_rand(0, 2);

    return new Stack(
        array_map(
            static fn (int $i): Pass => new Pass(
                $drawer->pencils[mt_rand(0, count($drawer->pencils) - 1)],
                $pressures[min(3, $first + ($i > 0 ? mt_rand(0, 1) : 0))],
            ),
            range(0, mt_rand(0, 2)),
        ),
    );
};
/** The same as a hand that wanders lays it, read off with a small error. */
$laid = static function (Stack $stack, Paper $paper) use ($chance): Strip {
    $sheet = new Sheet($paper);
    $spread = $paper->hand->spread;
    foreach ($stack->passes() as $pass) {
        LayPass::onto(
            $sheet,
            $pass->pencil,
            max(0.05, min(1.0, $pass->pressure + $spread * Steadiness::PRESSURE_DEVIATION * $chance->normal())),
            max(0.1, 1 + $spread * Steadiness::LAYDOWN_DEVIATION * $chance->normal()),
        );
    }
    $lab = Lab::ofXyz($sheet->xyz());

    return new Strip(
        $stack,
        new Lab($lab->l + 0.6 * $chance->normal(), $lab->a + 0.6 * $chance->normal(), $lab->b + 0.6 * $chance->normal()),
    );
};
$looks = static fn (Stack $stack, Paper $paper): Lab => Lab::ofXyz($stack->on($paper)->xyz());
$tried = static function (Hand $true, int $count) use ($drawer, $paper, $laid, $craft, $looks): array {
    $under = $paper->under($true);
    $learnt = LearnHand::from(
        array_map(static fn (Stack $s): Strip => $laid($s, $under), SuggestedStrips::of($drawer->pencils, $count)),
        $paper,
    );
    $before = $after = 0.0;
    for ($n = 0; $n < 30; $n++) {
        $stack = $craft();
        $before += $looks($stack, $under)->deltaE00($looks($stack, $paper));
        $after += $looks($stack, $under)->deltaE00($looks($stack, $paper->under($learnt->hand)));
    }

    return [$learnt, $after / max(1e-6, $before)];
};
foreach ([6, 12] as $count) {
    Table::head("\n$count strips, 40 hands from 30 % lighter to 40 % heavier, half to twice as uneven");
    $pressure = $later = $spread = $invented = $quarter = [];
    for ($n = 0; $n < 40; $n++) {
        $true = new Hand(pressure: 0.7 + (0.7 * $n) / 39, spread: 0.5 * 4 ** (mt_rand() / mt_getrandmax()));
        [$learnt, $ratio] = $tried($true, $count);
        $pressure[] = abs(($learnt->hand->pressure * $learnt->hand->laydown) / $true->pressure - 1);
        $spread[] = abs(log($learnt->hand->spread / $true->spread));
        if (abs($true->pressure - 1) > 0.1) {
            $later[] = $ratio;
        }
        [$heavier] = $tried(new Hand(pressure: 1.25), $count);
        $quarter[] = abs(($heavier->hand->pressure * $heavier->hand->laydown) / 1.25 - 1);
        [$even] = $tried(Hand::even(), $count);
        $invented[] = abs($even->film($paper) - 1);
    }
    Table::row('pressure found, off by a share of', $pressure, '', '', 3);
    Table::row('  of a hand 25 % heavier', $quarter, '', '≤ 0.05', 3);
    Table::row('errors of later predictions, over those of before', $later, '', '≤ 0.5', 2);
    Table::row('spread found, off by (logarithm)', $spread, '', '', 2);
    Table::row('film invented for an even hand', $invented, '', '0', 3);
}
