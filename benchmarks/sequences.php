<?php

declare(strict_types=1);

// One sequence a zone beside a stack of its own for every colour, as the first planner had it: on the demo's two photos, two scenes made
// here, and whatever photographs lie in a folder. What separate stacks came to is what was measured while they could still be planned.
// ./bench --sequences [FOLDER] runs it; it takes some minutes.

use Benchmarks\Scenes;
use Benchmarks\Seen\SmoothGrain;
use Benchmarks\Table;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\StartingPoint;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

require __DIR__.'/../vendor/autoload.php';

/** Separate stacks by picture: passes, error in a hand and on paper, ΔE00. */
const SEPARATE = [
    'demo, morning' => [179, 4.55, 5.59],
    'demo, evening' => [163, 5.16, 6.0],
    'hills' => [71, 3.06, 4.57],
    'dusk' => [66, 4.17, 5.18],
    'cat' => [135, 4.19, 5.7],
    'cup' => [173, 4.29, 5.42],
];

$pictures = Scenes::all($argv[1] ?? null);
$paper = Paper::whiteMedium();
$shelf = new MemoryShelf();
$drawer = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));
$plan = static fn (PixelGrid $grid, ZoneMap $map, Method $method): PlannedPicture => (new PlanPicture(
    $drawer,
    $paper,
    new PlanSettings([PlanSettings::WHOLE => $method->settings()]),
    $shelf,
))->whole($grid, $map);
$mid = static fn (array $of): float => Table::quantile(array_values($of), 0.5);

Table::head(
    'one sequence a zone beside separate stacks; 24 pencils, at most 12 zones, free method; error in a hand / of colours on paper, ΔE00',
);
printf("%-16s %22s %32s %9s %22s\n", '', 'separate stacks', 'sequences (medians a zone)', '', 'the method of new studies');
$ratios = $dearer = $seconds = $evenness = [];
foreach ($pictures as $name => $grid) {
    $map = ZoneMap::proposed($grid, 12);
    $start = hrtime(true);
    $free = $plan($grid, $map, Method::free());
    $took = (hrtime(true) - $start) / 1e9;
    $separate = SEPARATE[$name] ?? null;
    $opinion = $plan($grid, $map, StartingPoint::LightToDark->method());
    $ratio = $separate === null ? null : $free->errorInHand() / $separate[1];
    $ratios[] = $ratio ?? NAN;
    $rough = $plan($grid, $map->being(array_map(static fn (): Surface => Surface::Rough, $map->zones)), Method::free());
    $evenness[$name] = [
        SmoothGrain::of($rough, $map->zones),
        SmoothGrain::of($free, $map->zones),
        $free->colourError() / $rough->colourError(),
        $free->passes() / $rough->passes(),
    ];
    $dearer[] = $opinion->errorOnPaper() / $free->errorOnPaper();
    $seconds[] = $took;
    printf(
        "%-16s %-26s %3d passes (%.0f, %.0f pencils; %2d) %4.2f / %4.2f %6s   %4.2f / %4.2f %+4.0f %%   %.1f s\n",
        $name,
        $separate === null ? '' : sprintf('%4d passes %4.2f / %4.2f', ...$separate),
        $free->passes(),
        $mid(array_map(static fn (SequenceAnswer $a): int => count($a->sequence->passes), $free->answers())),
        $mid(array_map(static fn (SequenceAnswer $a): int => count($a->sequence->pencils()), $free->answers())),
        count($free->palette()),
        $free->errorInHand(),
        $free->colourError(),
        $ratio === null ? '' : sprintf('%+4.0f %%', 100 * ($ratio - 1)),
        $opinion->errorInHand(),
        $opinion->colourError(),
        100 * (end($dearer) - 1),
        $took,
    );
}
$mean = static fn (array $of): float => array_sum(array_filter($of, is_finite(...))) / max(1, count(array_filter($of, is_finite(...))));
printf(
    "%-62s %+12.1f %%   at least -15 %%, above on none: %d\n",
    'error in a hand against separate stacks, mean',
    100 * ($mean($ratios) - 1),
    count(array_filter($ratios, static fn (float $r): bool => $r > 1)),
);
printf("%-62s %+12.1f %%   at most +10 %%\n", 'error on paper in the method of new studies, mean', 100 * ($mean($dearer) - 1));
printf("%-62s %12.1f s   under 12\n", 'a whole plan with its palette, median', $mid($seconds));

Table::head(
    "\ngrain of what is not rough, L*, and share of it above 12: as if all were rough, and now; error of colours and passes of before",
);
foreach ($evenness as $name => [$before, $now, $error, $passes]) {
    printf(
        "%-16s %8.1f %5.0f %% %8.1f %5.0f %% %8.2f %8.2f\n",
        $name,
        $before[0],
        100 * $before[1],
        $now[0],
        100 * $now[1],
        $error,
        $passes,
    );
}
$nows = array_column($evenness, 1);
printf("%-62s %12.1f     at most 5\n", 'grain now, mean', $mean(array_column($nows, 0)));
printf("%-62s %12.1f %%   at most 8\n", 'above 12 on, mean', 100 * $mean(array_column($nows, 1)));
printf("%-62s %12.2f     at most 1.03\n", 'error of colours, of before, mean', $mean(array_column($evenness, 2)));

Table::head("\na spot is an area of one shade");
$find = new FindSequences($drawer, $paper, Method::free(), $shelf);
$targets = array_merge(
    ...array_map(
        static fn (PixelGrid $g): array => array_map(static fn (int $at) => $g->lab(($at * 977) % $g->count()), range(1, 10)),
        array_values($pictures),
    ),
);
$times = array_map(static function ($target) use ($find): float {
    $start = hrtime(true);
    $find->for([new Shade('', $target)], 6, 4);

    return (hrtime(true) - $start) / 1e6;
}, $targets);
printf("%-62s %12.0f ms   under 300\n", sprintf('answers for a spot, p95 of %d', count($targets)), Table::quantile($times, 0.95));
printf("%-62s %12s\n", 'peak memory', round(memory_get_peak_usage(true) / 1e6).' MB');
