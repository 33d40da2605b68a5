<?php

declare(strict_types=1);

// The order of a drawer against naive ones, and formats in and out. ./bench --drawer runs it; it takes seconds.

use Benchmarks\Table;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Drawer\ExactPath;
use KnottyPrism\Core\Drawer\ImprovedPath;
use KnottyPrism\Core\Drawer\Portrait;
use KnottyPrism\Core\Drawer\Reach\ReachSurvey;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Formats\Drawers\Csv;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Import\ImportChoices;
use KnottyPrism\Core\Formats\Import\ImportPlan;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

require __DIR__.'/../vendor/autoload.php';

/** @return list<Pencil> of the demo's files, blenders left out */
function pencilsOf(string ...$files): array
{
    $pencils = array_merge(
        ...array_map(
            static fn (string $f): array => DrawerFile::drawer((string) file_get_contents(__DIR__."/../demo/$f.csv"))->pencils,
            $files,
        ),
    );

    return array_values(array_filter($pencils, static fn (Pencil $p): bool => ! $p->isBlender()));
}

/** @param  array<int, Portrait>  $portraits */
function meanStep(array $portraits): float
{
    $portraits = array_values($portraits);
    $sum = 0.0;
    for ($i = 1; $i < count($portraits); $i++) {
        $sum += $portraits[$i - 1]->heavy->deltaE00($portraits[$i]->heavy);
    }

    return $sum / max(1, count($portraits) - 1);
}

Table::head('the order of a drawer: mean ΔE00 from pencil to pencil');
foreach (['24 pencils' => pencilsOf('drawer'), 'both lines' => pencilsOf('lines/slipway', 'lines/foghorn')] as $name => $pencils) {
    $order = DrawerOrder::of($pencils);
    $byHue = $order->portraits;
    usort(
        $byHue,
        static fn (Portrait $a, Portrait $b): int => Oklch::ofLab($a->heavy)->hueDegrees <=> Oklch::ofLab($b->heavy)->hueDegrees,
    );
    $naive = meanStep($byHue);
    printf("%-58s %12.2f %12s   %s\n", "$name, gradual", $order->mean(), '', 'at least 15 % below hue sorting');
    printf("%-58s %12.2f %11.1f %%\n", "$name, sorted by hue; gradual is shorter by", $naive, 100 * (1 - $order->mean() / $naive));
    Table::row('  in', Table::times(3, static fn () => DrawerOrder::of($pencils)), 's', '', 2);
}

// The search for many colours, given few enough to try all orders of, against the optimum.
mt_srand(3);
$equal = 0;
$pencils = pencilsOf('lines/slipway');
for ($n = 0; $n < 40; $n++) {
    shuffle($pencils);
    $ten = array_map(static fn (Pencil $p) => (new Portrait($p))->heavy, array_slice($pencils, 0, 10));
    // The last row and column are a place near to everything: the way there is open.
    $apart = array_map(static fn (Lab $a): array => [...array_map(static fn (Lab $b): float => $a->deltaE00($b), $ten), 0.0], $ten);
    $apart[] = array_fill(0, 11, 0.0);
    $length = static fn (array $way): float => array_sum(
        array_map(static fn (int $a, int $b): float => $apart[$a][$b], array_slice($way, 0, -1), array_slice($way, 1)),
    );
    $equal += $length((new ImprovedPath($apart))->find()) <= $length(ExactPath::through($apart)) + 1e-6 ? 1 : 0;
}
printf("%-58s %12s %12s   %s\n", '10 pencils: the search equals the exact optimum', "$equal of 40", '', 'all');

$rows = array_map(
    static fn (int $i): ShelfRow => ShelfRow::of(
        new PencilRecord('Line '.intdiv($i, 500), (string) $i, "Colour $i", sprintf('#%06x', ($i * 3331) % 0xFFFFFF)),
    ),
    range(1, 5000),
);
$text = Csv::it()->write('', $rows);
Table::row('5000 rows of CSV read and checked', Table::times(3, static fn () => DrawerFile::records($text)), 's', 'under 10', 2);

$known = array_slice(DrawerFile::rows($text), 0, 2500);
Table::row(
    '  and planned against 2500 known ones',
    Table::times(3, static fn () => ImportPlan::of(DrawerFile::reading($text), $known, new ImportChoices())),
    's',
    '',
    2,
);

$all = [...pencilsOf('lines/slipway', 'lines/foghorn')];
Table::row(
    'what 24 of 119 pencils reach, and three purchases',
    Table::times(3, static fn () => new ReachSurvey($all, Paper::whiteMedium())),
    's',
    '',
    2,
);
