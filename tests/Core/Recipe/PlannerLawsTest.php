<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\OutOfReach;
use Tests\Core\Pencils;

it('obeys every rule of any method in every recipe and every remedy that it gives', function () {
    mt_srand(31);
    $recipes = 0;
    for ($n = 0; $n < 10; $n++) {
        $settings = [];
        foreach (['values', 'beneath', 'darks', 'lights', 'neutralising'] as $name) {
            $settings[] = $name.'='.Method::choices()[$name][mt_rand(0, count(Method::choices()[$name]) - 1)];
        }
        $method = Method::ofSettings($settings);
        $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), $method, Pencils::shelf());
        $target = new Lab(mt_rand(20, 90), mt_rand(-25, 35), mt_rand(-30, 45));
        try {
            $answers = $planner->recipesFor($target, 3);
        } catch (KnottyPrism\Core\Error\MethodRefuses) {
            continue;
        }
        // What may lie first is the method's own affair, and tested there.
        $allows = (new FindSequences(theDemoDrawer(), Paper::whiteMedium(), $method, Pencils::shelf()))->allowing([
            Shade::ofSpot($target),
        ]);
        foreach ($answers as $recipe) {
            $recipes++;
            expect($allows($recipe->answer->sequence))->toBeTrue(implode(' ', $settings).': '.$recipe->stack()->text());
            foreach ($recipe->warnings as $warning) {
                if ($warning->remedied !== null && ! ($warning->kind instanceof OutOfReach)) {
                    expect($allows($warning->remedied->sequence))->toBeTrue(
                        implode(' ', $settings).': remedy '.$warning->remedied->sequence->stackIn(0)->text(),
                    );
                }
            }
        }
    }
    expect($recipes)->toBeGreaterThan(12);
});

it('foretells the spread of real hands', function () {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), Method::free(), Pencils::shelf());
    mt_srand(12);
    $normal = static fn (): float => sqrt(-2 * log(mt_rand(1, mt_getrandmax()) / mt_getrandmax())) *
        cos((2 * M_PI * mt_rand()) / mt_getrandmax());
    $ratios = [];
    foreach (['#6e8f7c', '#b9a98a', '#7a4a2e', '#4a6178'] as $hex) {
        foreach ($planner->recipesFor(Lab::ofHex($hex)) as $recipe) {
            $sum = 0.0;
            for ($n = 0; $n < 500; $n++) {
                $sheet = new Sheet(Paper::whiteMedium());
                foreach ($recipe->stack()->passes() as $pass) {
                    LayPass::onto(
                        $sheet,
                        $pass->pencil,
                        max(0.05, min(1.0, $pass->pressure + Steadiness::PRESSURE_DEVIATION * $normal())),
                        max(0.1, 1 + Steadiness::LAYDOWN_DEVIATION * $normal()),
                    );
                }
                $sum += $recipe->outcome()->lab->deltaE00(Lab::ofReflectance($sheet->meanReflectance())) ** 2;
            }
            $ratios[] = $recipe->outcome()->sway() / sqrt($sum / 500);
        }
    }
    sort($ratios);
    expect($ratios[intdiv(count($ratios), 2)])
        ->toEqualWithDelta(1.0, 0.06)
        ->and(count(array_filter($ratios, static fn (float $r): bool => abs($r - 1) < 0.15)) / count($ratios))
        ->toBeGreaterThanOrEqual(0.8);
});

it('answers from a drawer of both lines by a shortlist, and as well as from the demo drawer', function () {
    $lines = array_map(
        static fn (string $line): array => DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 3)."/demo/lines/$line.csv"))
            ->pencils,
        ['slipway', 'foghorn'],
    );
    $planner = new RecipePlanner(new Drawer(array_merge(...$lines)), Paper::whiteMedium(), Method::free());
    foreach (['#9c6b4a', '#3f5a4c'] as $hex) {
        $recipes = $planner->recipesFor(Lab::ofHex($hex), 4);
        $demo = (new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), Method::free(), Pencils::shelf()))->recipesFor(
            Lab::ofHex($hex),
            4,
            1,
        )[0];
        expect(count($recipes))
            ->toBeGreaterThanOrEqual(3)
            ->and($recipes[0]->answer->errorOnPaper())
            ->toBeLessThan($demo->answer->errorOnPaper() + 0.3);
    }
});

it('finishes what it finds, and aims so that the finish lands on the target', function (string $joining) {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), Method::ofSettings(["joining=$joining"]), Pencils::shelf());
    $missed = $unfinished = [];
    foreach (['#6e8f7c', '#b9a98a', '#7a4a2e', '#4a6178'] as $hex) {
        $recipe = $planner->recipesFor(Lab::ofHex($hex), 4, 1)[0];
        $missed[] = $recipe->outcome()->comparison()->deltaE00;
        $unfinished[] = Lab::ofXyz(
            (new KnottyPrism\Core\Medium\Stack\Stack($recipe->stack()->passes()))->on(Paper::whiteMedium())->xyz(),
        )->deltaE00($recipe->outcome()->shade->target);
    }
    sort($missed);
    // What is aimed at is reached with the finish, not without it.
    expect($missed[1])
        ->toBeLessThan(2.5)
        ->and($missed[3])
        ->toBeLessThan(4.0)
        ->and(array_sum($missed))
        ->toBeLessThan(array_sum($unfinished));
})->with(['solvent', 'blender', 'tissue']);

it('takes a pencil in use rather than a strange one, while that costs little', function () {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), Method::free(), Pencils::shelf());
    $ids = array_map(static fn ($p): string => $p->id(), theDemoDrawer()->usable()->pencils);
    $strange = 0;
    $before = 0;
    foreach (['#8a7f70', '#5c6b73', '#9db4b0', '#7a4a2e', '#4a6178', '#7c6a58'] as $hex) {
        $used = ['Slipway/735', 'Slipway/741', 'Slipway/711', 'Slipway/668', 'Slipway/678'];
        $strangeness = array_map(static fn (string $id): float => in_array($id, $used, true) ? 0.0 : 0.4, array_combine($ids, $ids));
        $count = static fn (Recipe $r): int => count(
            array_filter($r->stack()->pencils(), static fn ($p): bool => ! in_array($p->id(), $used, true)),
        );
        $with = $planner->recipesFor(Lab::ofHex($hex), 4, 1, $strangeness)[0];
        $before += $count($planner->recipesFor(Lab::ofHex($hex), 4, 1)[0]);
        $strange += $count($with);
        expect($with->answer->errorOnPaper())->toBeLessThan(
            $planner->recipesFor(Lab::ofHex($hex), 4, 1)[0]->answer->errorOnPaper() + 1.0,
        );
    }
    expect($strange)->toBeLessThan($before)->and($strange)->toBeLessThanOrEqual(4);
});
