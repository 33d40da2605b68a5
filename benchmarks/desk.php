<?php

declare(strict_types=1);

// The order of work: against one zone after the other without any thought, on the demo's two pictures and on random plans; against the best
// of all orders where there are so few steps that all can be tried; and how long it takes. ./bench --desk runs it.

use Benchmarks\Desk\EveryOrder;
use Benchmarks\Desk\RandomPlans;
use Benchmarks\Scenes;
use Benchmarks\Table;
use KnottyPrism\Core\Desk\Order\DeskZones;
use KnottyPrism\Core\Desk\Order\FindOrder;
use KnottyPrism\Core\Desk\Order\OrderedSteps;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Working;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\WorkPlan;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Recipe\Method\StartingPoint;
use KnottyPrism\Core\Recipe\Sequence\Shade;

require __DIR__.'/../vendor/autoload.php';

/** The demo's picture as its plan is laid, 297 mm wide. */
$planned = static function (string $name, WorkingHabits $habits): WorkPlan {
    $grid = Scenes::all(null)[$name];
    $plan = (new PlanPicture(
        DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv')),
        Paper::whiteMedium(),
        new PlanSettings([PlanSettings::WHOLE => StartingPoint::LightToDark->method()->settings()]),
    ))->whole($grid, ZoneMap::proposed($grid, 12));
    [$wide, $high] = [297.0, (297.0 * $grid->height) / $grid->width];
    $names = $lightness = $whites = $steps = [];
    foreach ($plan->map->zones as $number => $zone) {
        [$names[$number], $lightness[$number], $whites[$number]] = [
            $zone->name,
            isset($zone->shades['mid']) ? $zone->shades['mid']->l : 50.0,
            $zone->keptWhite,
        ];
    }
    $zones = DeskZones::of($plan->map->labels, $wide, $high, $names, $lightness, $whites);
    foreach ($plan->answers() as $number => $answer) {
        $shades = $answer->shades();
        $steps[$number] = ZoneSteps::of(
            $zones[$number],
            WorkPass::all($answer->sequence),
            array_map(static fn (Shade $s): float => $s->weight, $shades),
            array_map(static fn (Shade $s): bool => $s->touch, $shades),
            $habits,
        );
    }

    return WorkPlan::on($plan->map->labels, $wide, $high, $zones, $steps, $habits);
};

Table::head('order of work, zone by zone, against one zone after the other');
printf(
    "%-18s %5s %22s %22s %24s %10s %9s\n",
    '',
    'steps',
    'pick-ups',
    'idle, of the time',
    'fresh under the hand',
    'open, most',
    'found in',
);
$ratios = $idle = $fresh = [];
$row = static function (string $name, WorkPlan $plan) use (&$ratios, &$idle, &$fresh): void {
    $naive = OrderedSteps::naive($plan);
    $start = hrtime(true);
    $order = FindOrder::for($plan);
    $took = (hrtime(true) - $start) / 1e9;
    $again = new Working($plan);
    $open = array_map(static function (PlacedStep $p) use ($again): int {
        $again->lay($p->step, $p->turn);

        return $again->open();
    }, $order->steps);
    $ratios[] = $order->pickUps / $naive->pickUps;
    $idle[] = $order->idle / $order->minutes;
    $fresh[] = $order->freshUnderHand;
    printf(
        "%-18s %5d %13d of %4d   %12.0f %% of %2.0f %% %14.1f %% of %2.0f %% %6.1f, %d %8.2f s\n",
        $name,
        $plan->count(),
        $order->pickUps,
        $naive->pickUps,
        (100 * $order->idle) / $order->minutes,
        (100 * $naive->idle) / $naive->minutes,
        100 * $order->freshUnderHand,
        100 * $naive->freshUnderHand,
        array_sum($open) / max(1, count($open)),
        max([0, ...$open]),
        $took,
    );
};
$row('demo, morning', $planned('demo, morning', new WorkingHabits()));
$row('demo, evening', $planned('demo, evening', new WorkingHabits()));
foreach (range(1, 5) as $seed) {
    $row("random, $seed", RandomPlans::of($seed, 8 + $seed, 6, new WorkingHabits()));
}
$mid = static fn (array $of): float => Table::quantile(array_values($of), 0.5);
printf("%-62s %12.2f   at most 0.50\n", 'pick-ups over those of zone after zone, median', $mid($ratios));
printf("%-62s %12.0f %%   at most 20 %%\n", 'idle, median', 100 * $mid($idle));
printf("%-62s %12.1f %%   at most 10 %%\n", 'fresh under the hand, median', 100 * $mid($fresh));

Table::head("\nagainst the best of all orders, at most nine steps");
$over = [];
foreach (range(1, 100) as $seed) {
    $plan = RandomPlans::small(
        $seed,
        9,
        new WorkingHabits(order: WorkOrder::cases()[$seed % count(WorkOrder::cases())], leftHanded: $seed % 2 === 0),
    );
    $over[] = FindOrder::for($plan)->cost / max(1e-6, EveryOrder::best($plan));
}
printf(
    "%-62s %12.0f %%   at least 95 %%\n",
    'within 10 % of the least cost, of 100 plans',
    (100 * count(array_filter($over, static fn (float $r): bool => $r <= 1.1))) / count($over),
);
printf("%-62s %12.3f   (p95 %.3f, worst %.3f)\n", 'cost over the least, median', $mid($over), Table::quantile($over, 0.95), max($over));

Table::head("\n20 zones of six passes");
$times = array_map(static function (int $seed): float {
    $plan = RandomPlans::of($seed, 20, 6, new WorkingHabits());
    $start = hrtime(true);
    FindOrder::for($plan);

    return (hrtime(true) - $start) / 1e9;
}, range(11, 15));
printf("%-62s %12.2f s   under 1\n", 'ordered in, median of five', $mid($times));
printf("%-62s %12s\n", 'peak memory', round(memory_get_peak_usage(true) / 1e6).' MB');
