<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Stack\Prediction;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\School;
use Tests\Core\Pencils;

function theDemoDrawer(): Drawer
{
    static $drawer = null;

    return $drawer ??= DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 2).'/demo/drawer.csv'));
}

/** Ordinary colours of stone, rope, rust, water, leaves, skin and cloth. */
const ORDINARY_COLOURS = [
    '#6e8f7c', '#b9a98a', '#7a4a2e', '#4a6178', '#d9d4c8', '#2b2a2e', '#8a7f70', '#a0522d', '#354a3c', '#c2b280',
    '#5c6b73', '#9db4b0', '#3b2a20', '#e6dccb', '#708090', '#556b2f', '#b5651d', '#cfd8dc', '#1f2a36', '#8b8589',
];

it('comes within a just-visible difference or two of ordinary colours, far nearer than any single pencil', function () {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), School::free(), Pencils::shelf());
    $closest = $single = [];
    foreach (ORDINARY_COLOURS as $hex) {
        $recipes = $planner->recipesFor(Lab::ofHex($hex));
        $closest[] = $recipes[0]->comparison->deltaE00;
        $single[] = $planner->nearestSingle(Lab::ofHex($hex))->comparison->deltaE00;
        $keys = array_map(static function (Recipe $r): string {
            $ids = array_map(static fn ($p): string => $p->id(), $r->stack->pencils());
            sort($ids);

            return implode('+', $ids);
        }, $recipes);
        expect($recipes)->toHaveCount(4)->and(array_unique($keys))->toHaveCount(4);
    }
    sort($closest);
    sort($single);
    expect(($closest[9] + $closest[10]) / 2)->toBeLessThan(2.0)->and($closest[9])->toBeLessThan($single[9] / 3);
});

it('finds what an exhaustive trial of all two-pass stacks finds, or better', function () {
    $names = ['yellow', 'red', 'blue', 'green', 'violet', 'black'];
    $drawer = new Drawer(array_map(Pencils::named(...), $names));
    $planner = new RecipePlanner($drawer, Paper::whiteMedium(), School::free());
    $stacks = [];
    foreach ($names as $first) {
        foreach (PressureMark::pressures() as $p) {
            $one = new Sheet(Paper::whiteMedium());
            LayPass::onto($one, Pencils::named($first), $p);
            $stacks[] = $one;
            foreach ($names as $second) {
                foreach (PressureMark::pressures() as $q) {
                    $two = clone $one;
                    LayPass::onto($two, Pencils::named($second), $q);
                    $stacks[] = $two;
                }
            }
        }
    }
    $reached = array_map(static fn (Sheet $s): Lab => Lab::ofReflectance($s->meanReflectance()), $stacks);
    mt_srand(5);
    $within = 0;
    for ($n = 0; $n < 40; $n++) {
        $target = $reached[mt_rand(0, count($reached) - 1)];
        $target = new Lab($target->l + mt_rand(-3, 3), $target->a + mt_rand(-4, 4), $target->b + mt_rand(-4, 4));
        $best = min(array_map(static fn (Lab $lab): float => $lab->deltaE00($target), $reached));
        $within += $planner->recipesFor($target, 2, 1)[0]->comparison->deltaE00 <= $best + 0.2 ? 1 : 0;
    }
    expect($within)->toBeGreaterThanOrEqual(36);
});

it('names as steadiest only what is steadier than the closest', function () {
    $planner = new RecipePlanner(theDemoDrawer(), PaperShelf::named('white smooth'), School::free(), Pencils::shelf());
    foreach (array_slice(ORDINARY_COLOURS, 0, 6) as $hex) {
        $byLabel = [];
        foreach ($planner->recipesFor(Lab::ofHex($hex)) as $recipe) {
            $byLabel[$recipe->label->value] = $recipe;
        }
        if (isset($byLabel['steadiest'])) {
            expect($byLabel['steadiest']->prediction->steadiness)->toBeLessThan($byLabel['closest']->prediction->steadiness);
        }
        if (isset($byLabel['fewest pencils'])) {
            expect(count($byLabel['fewest pencils']->stack->pencils()))->toBeLessThanOrEqual(count($byLabel['closest']->stack->pencils()));
        }
    }
});

it('gives the same answer every time and writes it so that it can be read back', function () {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), School::free(), Pencils::shelf());
    $once = $planner->recipesFor(Lab::ofHex('#7c6a58'))[0];
    expect($planner->recipesFor(Lab::ofHex('#7c6a58'))[0]->stack->text())->toBe($once->stack->text());
    $again = Prediction::of(StackText::read($once->stack->text(), theDemoDrawer()), Paper::whiteMedium());
    expect($again->lab()->toArray())->toBe($once->prediction->lab()->toArray());
});
