<?php

declare(strict_types=1);

// The search against what it stands in for: every sequence that a small drawer allows, and a crowd of random hands. ./bench --search runs
// it.

use Benchmarks\EverySequence;
use Benchmarks\Table;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Breadth;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\Beam;
use KnottyPrism\Core\Recipe\SequenceSearch\Kit;
use KnottyPrism\Core\Recipe\SequenceSearch\Polish;

require __DIR__.'/../vendor/autoload.php';

/** Four small drawers out of the demo's, each spread over families and values. */
const SMALL = [
    ['604', '624', '653', '661', '688', '721', '735', '745'],
    ['608', '628', '636', '668', '681', '711', '726', '741'],
    ['604', '617', '653', '671', '696', '703', '728', '745'],
    ['624', '636', '661', '678', '688', '711', '721', '741'],
];

const ZONES_EACH = 25;

/** RMS ΔE00 of a stack in 500 random hands: normal deviates by Box and Muller, each pass on its own. */
function inManyHands(Recipe $recipe, Paper $paper): float
{
    $normal = static fn (): float => sqrt(-2 * log(mt_rand(1, mt_getrandmax()) / mt_getrandmax())) *
        cos((2 * M_PI * mt_rand()) / mt_getrandmax());
    $intended = $recipe->outcome()->lab;
    $sum = 0.0;
    for ($n = 0; $n < 500; $n++) {
        $sheet = new Sheet($paper);
        foreach ($recipe->stack()->passes() as $pass) {
            LayPass::onto(
                $sheet,
                $pass->pencil,
                max(0.05, min(1.0, $pass->pressure + Steadiness::PRESSURE_DEVIATION * $normal())),
                max(0.1, 1 + Steadiness::LAYDOWN_DEVIATION * $normal()),
            );
        }
        $sum += $intended->deltaE00(Lab::ofReflectance($sheet->meanReflectance())) ** 2;
    }

    return sqrt($sum / 500);
}

mt_srand(1);
$paper = Paper::whiteMedium();
$all = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));

Table::head('small drawers against every sequence that the craft allows: 8 pencils, ≤ 3 passes, 2 shades');
$worse = $times = $trying = [];
foreach (SMALL as $numbers) {
    $moves = new Moves(new Drawer(array_map($all->pencil(...), $numbers)), $paper);
    $kit = new Kit($moves, Atlas::of($moves));
    $every = new EverySequence($kit);
    for ($n = 0; $n < ZONES_EACH; $n++) {
        $hue = deg2rad(mt_rand(0, 359));
        [$light, $dark, $chroma] = [mt_rand(55, 88), mt_rand(22, 52), mt_rand(4, 38)];
        $shades = [
            new Shade('light', new Lab($light, ($chroma * cos($hue)) / 2, ($chroma * sin($hue)) / 2), 0.4),
            new Shade('dark', new Lab($dark, $chroma * cos($hue), $chroma * sin($hue)), 0.6),
        ];
        $ground = $every->ground($shades);
        $least = $found = INF;
        [$times[]] = Table::times(1, static function () use ($ground, &$found): void {
            // As AreaSearch does it.
            $found = (new Polish($ground, Breadth::over(3)))->all(array_slice((new Beam($ground, 16))->run(), 0, 12))[0]->cost;
        });
        [$trying[]] = Table::times(1, static function () use ($every, $ground, &$least): void {
            $least = $every->least($ground);
        });
        $worse[] = $found / $least;
    }
}
$milliseconds = static fn (array $seconds): array => array_map(static fn (float $s): float => $s * 1e3, $seconds);
printf(
    "%-58s %9.1f %%   %12s   %s\n",
    sprintf('within 3 %% of the best of all, of %d zones', count($worse)),
    (100 * count(array_filter($worse, static fn (float $w): bool => $w <= 1.03))) / count($worse),
    '',
    '≥ 95 %',
);
Table::row('cost over the least of all', $worse, '', '', 3);
Table::row('one zone, the search', $milliseconds($times), 'ms');
Table::row('one zone, looking every sequence up', $milliseconds($trying), 'ms');

Table::head("\nsteadiness, 24 pencils, 500 random hands a recipe");
$planner = new RecipePlanner($all, $paper, Method::free());
$ratios = [];
for ($n = 0; $n < 40; $n++) {
    foreach ($planner->recipesFor(new Lab(mt_rand(20, 90), mt_rand(-25, 35), mt_rand(-30, 45))) as $recipe) {
        if ($recipe->stack()->steps !== []) {
            $ratios[] = $recipe->outcome()->sway() / inManyHands($recipe, $paper);
        }
    }
}
printf(
    "%-58s %9.1f %%\n",
    'recipes whose sigma-point figure is within 15 %',
    (100 * count(array_filter($ratios, static fn (float $r): bool => abs($r - 1) <= 0.15))) / count($ratios),
);
Table::row('sigma-point figure over that of the hands', $ratios, '', '0.85–1.15', 3);
