<?php

declare(strict_types=1);

// The search against what it stands in for: exhaustive trial, and a crowd of random hands. ./bench --search runs it; it takes minutes.

use Benchmarks\Table;
use KnottyPrism\Core\Colour\ColourDifference;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\School;

require __DIR__.'/../vendor/autoload.php';

const TARGETS = 200;

/** Targets after which the exhaustive laying is timed again. */
const LAID_ANEW = 33;

/** Twelve of the demo's drawer, spread over families and values. */
const TWELVE = ['604', '608', '624', '636', '653', '661', '678', '688', '696', '721', '735', '745'];

const FOUR_MARKS = [0.20, 0.35, 0.55, 0.80];

/** Every stack of one to three passes, as seen.
 *
 * @param  Drawer  $drawer  the pencils
 * @return list<array{float, float, float}> L*, a*, b*
 */
function everyStack(Drawer $drawer, Paper $paper): array
{
    $seen = [];
    $lay = static function (Sheet $on, int $passes) use (&$lay, &$seen, $drawer): void {
        foreach ($drawer->pencils as $pencil) {
            foreach (FOUR_MARKS as $pressure) {
                $sheet = clone $on;
                LayPass::onto($sheet, $pencil, $pressure);
                $seen[] = Lab::ofReflectance($sheet->meanReflectance())->toArray();
                if ($passes > 1) {
                    $lay($sheet, $passes - 1);
                }
            }
        }
    };
    $lay(new Sheet($paper), 3);

    return $seen;
}

/** @param  list<array{float, float, float}>  $seen */
function leastApart(array $seen, Lab $target): float
{
    $best = INF;
    foreach ($seen as [$l, $a, $b]) {
        $best = min($best, ColourDifference::ciede2000($l, $a, $b, $target->l, $target->a, $target->b));
    }

    return $best;
}

/** RMS ΔE00 of a stack in 500 random hands: normal deviates by Box and Muller, each pass on its own. */
function inManyHands(Recipe $recipe, Paper $paper): float
{
    $normal = static fn (): float => sqrt(-2 * log(mt_rand(1, mt_getrandmax()) / mt_getrandmax())) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    $intended = $recipe->prediction->lab();
    $sum = 0.0;
    for ($n = 0; $n < 500; $n++) {
        $sheet = new Sheet($paper);
        foreach ($recipe->stack->passes() as $pass) {
            LayPass::onto($sheet, $pass->pencil, max(0.05, min(1.0, $pass->pressure + Steadiness::PRESSURE_DEVIATION * $normal())), max(0.1, 1 + Steadiness::LAYDOWN_DEVIATION * $normal()));
        }
        $sum += $intended->deltaE00(Lab::ofReflectance($sheet->meanReflectance())) ** 2;
    }

    return sqrt($sum / 500);
}

mt_srand(1);
$paper = Paper::whiteMedium();
$all = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));
$twelve = new Drawer(array_map($all->pencil(...), TWELVE));

Table::head('against exhaustive trial: 12 pencils × 4 pressures × ≤ 3 passes');
$seen = [];
$laying = [];
$layAll = static function () use (&$seen, &$laying, $twelve, $paper): void {
    [$laying[]] = Table::times(1, static function () use (&$seen, $twelve, $paper): void {
        $seen = everyStack($twelve, $paper);
    });
};
$layAll();
$planner = new RecipePlanner($twelve, $paper, School::free());
$planner->recipesFor(Lab::ofHex('#808080'), 3, 1);
$times = $comparing = $excess = [];
for ($n = 0; $n < TARGETS; $n++) {
    // These machines have fast and slow minutes: what is compared is measured side by side.
    if ($n % LAID_ANEW === LAID_ANEW - 1) {
        $layAll();
    }
    [$l, $a, $b] = $seen[mt_rand(0, count($seen) - 1)];
    $target = new Lab($l + mt_rand(-20, 20) / 10, $a + mt_rand(-20, 20) / 10, $b + mt_rand(-20, 20) / 10);
    $best = 0.0;
    [$comparing[]] = Table::times(1, static function () use (&$best, $seen, $target): void {
        $best = leastApart($seen, $target);
    });
    $apart = INF;
    [$times[]] = Table::times(1, static function () use (&$apart, $planner, $target): void {
        $apart = $planner->recipesFor($target, 3, 1)[0]->comparison->deltaE00;
    });
    $excess[] = $apart - $best;
}
$milliseconds = static fn (array $seconds): array => array_map(static fn (float $s): float => $s * 1e3, $seconds);
printf("%-58s %9.1f %%   %12s   %s\n", sprintf('within 0.2 ΔE00 of the best of %d stacks', count($seen)), 100 * count(array_filter($excess, static fn (float $e): bool => $e <= 0.2)) / TARGETS, '', '≥ 95 %');
Table::row('ΔE00 beyond the best', $excess, '', '', 2);
Table::row('one target, the search', $milliseconds($times), 'ms');
Table::row('one target, laying and comparing every stack', $milliseconds(array_map(static fn (float $s): float => $s + Table::quantile($laying, 0.5), $comparing)), 'ms');
printf("%-58s %10.0f ×   %14s   %s\n", 'faster', (Table::quantile($laying, 0.5) + Table::quantile($comparing, 0.5)) / Table::quantile($times, 0.5), '', '≥ 50 ×');

if (in_array('--yardstick', $argv, true)) {
    exit;
}
Table::head("\nsteadiness, 24 pencils, 500 random hands a recipe");
$planner = new RecipePlanner($all, $paper, School::free());
$steadier = $compared = 0;
$ratios = [];
foreach (array_slice($seen, 0) as $i => $lab) {
    if ($i % 2800 !== 17) {
        continue;
    }
    $byLabel = [];
    foreach ($planner->recipesFor(new Lab(...$lab)) as $recipe) {
        $byLabel[$recipe->label->value] = $recipe;
        if ($recipe->prediction->steadiness > 0.5) {
            $ratios[] = $recipe->prediction->steadiness / inManyHands($recipe, $paper);
        }
    }
    $compared++;
    $steadier += isset($byLabel['steadiest'], $byLabel['closest']) && inManyHands($byLabel['steadiest'], $paper) < inManyHands($byLabel['closest'], $paper) ? 1 : 0;
}
printf("%-58s %9.1f %%   %12s   %s\n", "the steadiest is steadier than the closest, of $compared targets", 100 * $steadier / $compared, '', '≥ 90 %');
printf("%-58s %9.1f %%   %12s   %s\n", 'recipes whose sigma-point figure is within 15 %', 100 * count(array_filter($ratios, static fn (float $r): bool => abs($r - 1) <= 0.15)) / count($ratios), '', '');
Table::row('sigma-point figure over that of the hands', $ratios, '', '0.85–1.15', 3);
