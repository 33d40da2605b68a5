<?php

declare(strict_types=1);

// Whole pictures: zones, plan, palette, preview. ./bench --picture runs it; it takes some minutes.

use Benchmarks\Seen\Shelf;
use Benchmarks\Table;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Palette\PaletteSearch;
use KnottyPrism\Core\Picture\Palette\SetCosts;
use KnottyPrism\Core\Picture\Palette\SetForecast;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\Preview;
use KnottyPrism\Core\Picture\ReachableTone;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Search\Moves;

require __DIR__.'/../vendor/autoload.php';

/** The demo's photo at a size. */
function photo(string $light, int $width): PixelGrid
{
    $image = new Imagick(__DIR__."/../demo/photos/low-water-$light.jpg");
    $image->resizeImage($width, intdiv($width * 3, 4), Imagick::FILTER_BOX, 1);
    $image->setImageDepth(8);
    $image->setFormat('rgb');
    $image->setImageFormat('rgb');

    return PixelGrid::ofSrgb($width, intdiv($width * 3, 4), $image->getImageBlob());
}

$shelf = new MemoryShelf();
$paper = Paper::whiteMedium();
$demo = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'));
$grid = photo('morning', 240);

Table::head('whole pictures: the demo photo, 12 zones, all their shades');
Table::row('zones proposed, 240 × 180', Table::times(3, static fn () => ZoneMap::proposed($grid, 12)), 's', 'under 5', 2);
$map = ZoneMap::proposed($grid, 12);
$planWith = static fn (Drawer $drawer): PlannedPicture => (new PlanPicture($drawer, $paper, shelf: $shelf))->whole($grid, $map);
foreach ([24 => $demo, 60 => Shelf::of(60), 119 => Shelf::of(119)] as $count => $drawer) {
    Table::row(
        "planned cold, $count pencils",
        Table::times(1, static fn () => $planWith($drawer)),
        's',
        $count === 24 ? 'under 10' : ($count > 100 ? 'under 30' : ''),
        2,
    );
    Table::row('  planned again, atlas kept', Table::times(1, static fn () => $planWith($drawer)), 's', '', 2);
    $plan = $planWith($drawer);
    printf(
        "%-58s %12.2f\n",
        sprintf(
            '  error of colours on paper, %d zones, %d passes, %d pencils used',
            count($plan->zones),
            $plan->passes(),
            count($plan->palette()),
        ),
        $plan->colourError(),
    );
}
$planner = new RecipePlanner($demo, $paper, Method::free(), $shelf);
$plan = $planWith($demo);
$find = new FindSequences($demo, $paper, Method::free(), $shelf);
Table::row(
    'one zone planned again, 24 pencils',
    Table::times(5, static fn () => $find->for(array_values($plan->zones[1]->answer->shades()) ?: throw new LogicException())),
    's',
    'under 1',
    2,
);

$large = photo('morning', 1154);
$preview = new Preview($plan->paper, $plan->map->labels, $grid, DrawnZone::all($plan));
Table::row(
    sprintf('preview of %.2f megapixels, cold', $large->count() / 1e6),
    Table::times(3, static fn () => $preview->after(new PassesLaid(3), $preview->material($large, 297.0))),
    's',
    'under 1.5',
    2,
);
$material = $preview->material($large, 297.0);
Table::row('  another pass', Table::times(3, static fn () => $preview->after(new PassesLaid(2), $material)), 's', 'under 0.3', 2);

Table::head("\npalettes against trying all");
foreach ([[12, 3], [24, 4]] as [$of, $choose]) {
    $moves = new Moves(new Drawer(array_slice($demo->usable()->pencils, 0, $of)), $paper);
    $atlas = Atlas::of($moves);
    $costs = new SetCosts();
    $search = new PaletteSearch($costs, count($moves->pencils));
    foreach ($plan->answers() as $answer) {
        foreach ($answer->shades() as $shade) {
            $costs->add(new SetForecast($moves, $atlas, $shade->target), $shade->weight);
        }
    }
    $best = [];
    $times = Table::times(1, static function () use (&$best, $search, $choose): void {
        $best = $search->best($choose);
    });
    $least = INF;
    /** @param  list<int>  $set */
    $all = static function (int $from, array $set) use (&$all, &$least, $choose, $costs, $moves): void {
        if (count($set) === $choose) {
            $least = min($least, $costs->of(array_values($set)));

            return;
        }
        for ($i = $from; $i < count($moves->pencils); $i++) {
            $all($i + 1, array_values([...$set, $i]));
        }
    };
    $all(0, []);
    printf(
        "%-58s %12.3f %12.3f   within 2 %%: %+.1f %%\n",
        "$choose of $of: chosen, best of all",
        $costs->of($best),
        $least,
        100 * ($costs->of($best) / $least - 1),
    );
    Table::row('  chosen in', $times, 's', '', 2);
}

Table::head("\nnatural colours after the tone fit, 24 pencils: 120 pixels of each photo");
foreach (['morning', 'evening'] as $light) {
    $pixels = photo($light, 240);
    $tone = ReachableTone::fit($demo->usable()->pencils, $paper, $pixels->l);
    $surest = $single = [];
    mt_srand(6);
    for ($n = 0; $n < 120; $n++) {
        $target = $tone->fitted($pixels->lab(mt_rand(0, $pixels->count() - 1)));
        $surest[] = $planner->recipesFor($target, 5, 1)[0]->answer->colourError();
        $single[] = $planner->nearestSingle($target)->colourError();
    }
    printf(
        "%-58s %12.2f %12.2f\n",
        "$light: error of the colour on paper, of the surest, median and p90",
        Table::quantile($surest, 0.5),
        Table::quantile($surest, 0.9),
    );
    printf(
        "%-58s %12.2f %12.2f\n",
        "$light: the same of the nearest single pencil, median and p90",
        Table::quantile($single, 0.5),
        Table::quantile($single, 0.9),
    );
}
printf("%-58s %12s\n", 'peak memory', round(memory_get_peak_usage(true) / 1e6).' MB');
