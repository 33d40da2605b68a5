<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\ArtistWheel;
use KnottyPrism\Core\Colour\Cones;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Forecast;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Pool;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Search\StackSearch;
use Tests\Core\Pencils;

const FIVE = ['yellow', 'red', 'violet', 'green', 'black'];

/** @return array{Moves, Atlas} the same five pencils' for all tests */
function fivePencils(): array
{
    static $made = null;
    if ($made === null) {
        $moves = new Moves(new Drawer(array_map(Pencils::named(...), FIVE)), Paper::whiteMedium());
        $made = [$moves, Atlas::of($moves)];
    }

    return $made;
}

function forecastOf(Lab $target, string ...$settings): Forecast
{
    [$moves, $atlas] = fivePencils();

    return new Forecast($moves, $atlas, $target, new Rules(School::ofSettings(array_values($settings)), $moves, $target, []));
}

/** @param  array{float, float, float}  $v */
function squaredLength(array $v): float
{
    return $v[0] ** 2 + $v[1] ** 2 + $v[2] ** 2;
}

it('gives the white three equal cones, any colour three positive ones, and adds light as light adds', function () {
    expect(Cones::ofXyz(...Xyz::WHITE))->each->toEqualWithDelta(1.0, 1e-12);
    foreach (['#ff0000', '#00ff00', '#0000ff', '#ffff00', '#010101', '#8a2be2'] as $hex) {
        $xyz = Lab::ofHex($hex)->xyz();
        expect(min(Cones::ofXyz($xyz->x, $xyz->y, $xyz->z)))->toBeGreaterThan(0.0);
    }
    [$a, $b, $sum] = [Cones::ofXyz(0.2, 0.3, 0.1), Cones::ofXyz(0.1, 0.1, 0.4), Cones::ofXyz(0.3, 0.4, 0.5)];
    foreach ([0, 1, 2] as $i) {
        expect($a[$i] + $b[$i])->toEqualWithDelta($sum[$i], 1e-12);
    }
});

it('turns round the wheel once and in order, whatever the hue', function () {
    $last = ArtistWheel::placeOf(25.0);
    $turned = 0.0;
    for ($hue = 26; $hue <= 385; $hue++) {
        $place = ArtistWheel::placeOf(fmod($hue, 360));
        $step = fmod($place - $last + 360, 360);
        expect($step)->toBeGreaterThan(0.0)->toBeLessThan(3.0);
        $turned += $step;
        $last = $place;
    }
    expect($turned)->toEqualWithDelta(360.0, 1e-6)->and(ArtistWheel::apart(10, 10))->toBe(0.0)->and(ArtistWheel::apart(350, 10))->toBeLessThan(40.0)
        ->and(ArtistWheel::apart(25, 150))->toEqualWithDelta(180.0, 1e-9);
});

it('has a measure for every target, even next to black and where no pigment comes', function (Lab $target) {
    $metric = new LocalMetric($target);
    foreach ([[0.1, 0.0, 0.0], [0.0, 0.1, 0.0], [0.0, 0.0, 0.1], [-0.1, -0.1, -0.1]] as $difference) {
        $length = squaredLength($metric->stretch($difference));
        expect(is_finite($length))->toBeTrue()->and($length)->toBeGreaterThan(0.0);
    }
})->with([[new Lab(0, 0, 0)], [new Lab(100, 0, 0)], [new Lab(50, 0, 140)], [new Lab(30, 120, -120)], [new Lab(1, 30, -40)], [new Lab(90, -120, 120)]]);

it('counts value alone where only value counts', function () {
    $metric = new LocalMetric(new Lab(60, 10, 10), Mode::ValueOnly);
    [$at, $lighter, $redder] = array_map(static fn (Lab $lab): array => KnottyPrism\Core\Recipe\Search\Look::of($lab)->logs, [new Lab(60, 10, 10), new Lab(62, 10, 10), new Lab(60, 16, 10)]);
    $length = static fn (array $to): float => sqrt(squaredLength($metric->stretch([$to[0] - $at[0], $to[1] - $at[1], $to[2] - $at[2]])));
    expect($length($lighter))->toEqualWithDelta(2.0, 0.2)->and($length($redder))->toBeLessThan(0.4)
        ->and(Mode::ValueOnly->apart(new Lab(62, 40, 0), new Lab(60, 10, 10)))->toBeLessThan(2.5)
        ->and(Mode::ValueFirst->apart(new Lab(62, 10, 10), new Lab(60, 10, 10)))->toBeGreaterThan((new Lab(62, 10, 10))->deltaE00(new Lab(60, 10, 10)) + 1);
});

it('keeps in its atlas exactly what laying two passes gives', function () {
    [$moves, $atlas] = fivePencils();
    foreach ([[0, 7], [12, 12], [24, 3], [16, 20]] as [$a, $b]) {
        $sheet = new Sheet(Paper::whiteMedium());
        foreach ([$a, $b] as $move) {
            LayPass::onto($sheet, $moves->passes[$move]->pencil, $moves->passes[$move]->pressure);
        }
        $look = KnottyPrism\Core\Recipe\Search\Look::at($sheet)->logs;
        foreach ([0, 1, 2] as $cone) {
            expect($atlas->pairs[$cone][$a * 25 + $b])->toBe($look[$cone]);
        }
        expect(array_map(static fn (array $shares): float => $shares[$a * 25 + $b], $atlas->pairShares))->toBe($moves->shares($sheet));
    }
});

it('skips no triple that trying all predictions would find', function () {
    [, $atlas] = fivePencils();
    foreach (['#7a4a2e', '#556b2f', '#2b2a2e', '#c2b280'] as $hex) {
        $forecast = forecastOf(Lab::ofHex($hex));
        $all = [];
        for ($a = 0; $a < 25; $a++) {
            for ($b = 0; $b < 25; $b++) {
                for ($c = 0; $c < 25; $c++) {
                    if ($atlas->pairShares[$c % 5][$a * 25 + $b] < 0.01) {
                        continue;
                    }
                    $all[($a * 25 + $b) * 25 + $c] = squaredLength($forecast->predicted($a, $b, $c));
                }
            }
        }
        asort($all);
        $found = $forecast->triples(range(0, 24), 40);
        expect(array_map(static fn (float $q): float => round($q, 8), array_values($found)))->toBe(array_map(static fn (float $q): float => round($q, 8), array_values(array_slice($all, 0, count($found), true))));
        if ($all[array_key_first($all)] < 60) {
            expect(count($found))->toBeGreaterThan(0);
        }
    }
});

it('knows how near every set of pencils comes, as trying all predictions of its members does', function () {
    $forecast = forecastOf(Lab::ofHex('#8a5a48'));
    $nearest = $forecast->nearestOfEverySet();
    foreach ([[0, 1, 2], [1, 3, 4], [0, 2, 4]] as $set) {
        $least = INF;
        foreach ($set as $p) {
            foreach ([0, 2, 4] as $markP) {
                foreach ($set as $q) {
                    foreach ($set as $r) {
                        if (count(array_unique([$p, $q, $r])) < 3) {
                            continue;
                        }
                        for ($m = 0; $m < 25; $m++) {
                            $least = min($least, squaredLength($forecast->predicted($p * 5 + $markP, $q * 5 + intdiv($m, 5), $r * 5 + $m % 5)));
                        }
                    }
                }
            }
        }
        expect($nearest[1 << $set[0] | 1 << $set[1] | 1 << $set[2]])->toEqualWithDelta(sqrt($least), 1e-6);
    }
    expect($nearest)->toHaveKey(1)->toHaveKey(16)->toHaveKey(17);
});

it('names for a laid stack the pass that in truth brings it nearest, or one about as good', function () {
    [$moves] = fivePencils();
    $good = 0;
    foreach ([[2], [7, 12], [1, 16], [11, 1]] as $stack) {
        $target = Lab::ofReflectance(array_reduce([...$stack, 6], static function (Sheet $sheet, int $m) use ($moves): Sheet {
            LayPass::onto($sheet, $moves->passes[$m]->pencil, $moves->passes[$m]->pressure);

            return $sheet;
        }, new Sheet(Paper::whiteMedium()))->meanReflectance());
        $forecast = forecastOf($target);
        $search = new StackSearch($moves, $forecast, new Pool, $forecast->rules);
        $laid = array_reduce($stack, $search->extend(...), $search->bare);
        $good += in_array(6, $forecast->next($laid, 3), true) ? 1 : 0;
        $whole = $search->extend($laid, 6);
        expect(squaredLength($forecast->ended($whole)))->toBeLessThan(1e-6)->and($forecast->exchanged($whole, 6, [6]))->toBeLessThan(1e-6)->and($forecast->exchanged($whole, 6, []))->toBeGreaterThan(1.0);
    }
    expect($good)->toBeGreaterThanOrEqual(3);
});

it('puts out of reach whatever a school forbids', function () {
    [$moves] = fivePencils();
    $target = Lab::ofHex('#6a4a3a');
    $forecast = forecastOf($target, 'values=light-to-dark');
    foreach (array_keys($forecast->triples($forecast->rules->firsts, 300)) as $key) {
        expect($forecast->rules->allow([intdiv($key, 625), intdiv($key, 25) % 25, $key % 25]))->toBeTrue();
    }
    $search = new StackSearch($moves, $forecast, $pool = new Pool, $forecast->rules);
    $search->run($forecast->rules->firsts, 5);
    expect($pool->cheapest())->not->toBe([]);
    foreach ($pool->cheapest() as $candidate) {
        expect($forecast->rules->allow($candidate->moves))->toBeTrue();
    }
    expect((new Rules(School::ofSettings(['beneath=neutral-grey']), $moves, $target, []))->firsts)->toBe([]);
});

it('obeys every rule of any school in every recipe and every remedy that it gives', function () {
    mt_srand(31);
    $recipes = 0;
    for ($n = 0; $n < 10; $n++) {
        $settings = [];
        foreach (['values', 'beneath', 'darks', 'lights', 'neutralising'] as $name) {
            $settings[] = $name.'='.School::CHOICES[$name][mt_rand(0, count(School::CHOICES[$name]) - 1)];
        }
        $school = School::ofSettings($settings);
        $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), $school, Pencils::shelf());
        $target = new Lab(mt_rand(20, 90), mt_rand(-25, 35), mt_rand(-30, 45));
        try {
            $answers = $planner->recipesFor($target, 3);
        } catch (KnottyPrism\Core\Error\SchoolRefuses) {
            continue;
        }
        $moves = new Moves(theDemoDrawer(), Paper::whiteMedium());
        // The complements are the planner's own affair; what may be first besides is checked in the school's own tests.
        $rules = new Rules($school, $moves, $target, theDemoDrawer()->usable()->pencils);
        foreach ($answers as $recipe) {
            $recipes++;
            expect($rules->allow($moves->numbersOf($recipe->stack) ?? []))->toBeTrue(implode(' ', $settings).': '.$recipe->stack->text());
            foreach (array_filter(array_map(static fn (Caution $c): ?KnottyPrism\Core\Medium\Stack\Stack => $c->code === KnottyPrism\Core\Recipe\Cautions\CautionCode::OutOfReach ? null : $c->remedied, $recipe->cautions)) as $remedied) {
                expect($rules->allow($moves->numbersOf($remedied) ?? []))->toBeTrue(implode(' ', $settings).': remedy '.$remedied->text());
            }
        }
    }
    expect($recipes)->toBeGreaterThan(12);
});

it('foretells the spread of real hands', function () {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), School::free(), Pencils::shelf());
    mt_srand(12);
    $normal = static fn (): float => sqrt(-2 * log(mt_rand(1, mt_getrandmax()) / mt_getrandmax())) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    $ratios = [];
    foreach (['#6e8f7c', '#b9a98a', '#7a4a2e', '#4a6178'] as $hex) {
        foreach ($planner->recipesFor(Lab::ofHex($hex)) as $recipe) {
            $sum = 0.0;
            for ($n = 0; $n < 500; $n++) {
                $sheet = new Sheet(Paper::whiteMedium());
                foreach ($recipe->stack->passes() as $pass) {
                    LayPass::onto($sheet, $pass->pencil, max(0.05, min(1.0, $pass->pressure + Steadiness::PRESSURE_DEVIATION * $normal())), max(0.1, 1 + Steadiness::LAYDOWN_DEVIATION * $normal()));
                }
                $sum += $recipe->prediction->lab()->deltaE00(Lab::ofReflectance($sheet->meanReflectance())) ** 2;
            }
            $ratios[] = $recipe->prediction->steadiness / sqrt($sum / 500);
        }
    }
    sort($ratios);
    expect($ratios[intdiv(count($ratios), 2)])->toEqualWithDelta(1.0, 0.06)->and(count(array_filter($ratios, static fn (float $r): bool => abs($r - 1) < 0.15)) / count($ratios))->toBeGreaterThanOrEqual(0.8);
});

it('answers from a drawer of both lines by a shortlist, and as well as from the demo drawer', function () {
    $lines = array_map(static fn (string $line): array => DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 2)."/demo/lines/$line.csv"))->pencils, ['slipway', 'foghorn']);
    $planner = new RecipePlanner(new Drawer(array_merge(...$lines)), Paper::whiteMedium(), School::free());
    foreach (['#9c6b4a', '#3f5a4c'] as $hex) {
        $recipes = $planner->recipesFor(Lab::ofHex($hex), 4);
        expect($recipes)->toHaveCount(4)->and($recipes[0]->comparison->deltaE00)->toBeLessThan(0.8);
    }
});

it('finishes what it finds, and aims so that the finish lands on the target', function (string $joining) {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), School::ofSettings(["joining=$joining"]), Pencils::shelf());
    $closest = array_map(static fn (string $hex): float => $planner->recipesFor(Lab::ofHex($hex), 4, 1)[0]->comparison->deltaE00, ['#6e8f7c', '#b9a98a', '#7a4a2e', '#4a6178']);
    sort($closest);
    expect($closest[1])->toBeLessThan(1.5)->and($closest[3])->toBeLessThan(4.0);
})->with(['solvent', 'blender', 'tissue']);

it('calls nothing the steadiest that the closest or a complement beneath is steadier than', function () {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), School::free(), Pencils::shelf());
    foreach (['#6b7e7d', '#d2cfbd', '#6e5342', '#8a7f70', '#5c6b73', '#b9a98a', '#9db4b0', '#3f4a3a'] as $hex) {
        $sways = [];
        foreach ($planner->recipesFor(Lab::ofHex($hex)) as $recipe) {
            $sways[$recipe->label->value] = $recipe->prediction->steadiness;
        }
        expect($sways)->toHaveCount(4);
        if (isset($sways['steadiest'])) {
            expect($sways['steadiest'])->toBeLessThan($sways['closest'])->toBeLessThanOrEqual($sways['complement beneath'] ?? INF);
        }
    }
});

it('takes a pencil in use rather than a strange one, while that costs little', function () {
    $planner = new RecipePlanner(theDemoDrawer(), Paper::whiteMedium(), School::free(), Pencils::shelf());
    $ids = array_map(static fn ($p): string => $p->id(), theDemoDrawer()->usable()->pencils);
    $strange = 0;
    $before = 0;
    foreach (['#8a7f70', '#5c6b73', '#9db4b0'] as $hex) {
        $used = ['Slipway/735', 'Slipway/741', 'Slipway/711', 'Slipway/668', 'Slipway/678'];
        $strangeness = array_map(static fn (string $id): float => in_array($id, $used, true) ? 0.0 : 0.4, array_combine($ids, $ids));
        $count = static fn (Recipe $r): int => count(array_filter($r->stack->pencils(), static fn ($p): bool => ! in_array($p->id(), $used, true)));
        $with = $planner->recipesFor(Lab::ofHex($hex), 4, 1, $strangeness)[0];
        $before += $count($planner->recipesFor(Lab::ofHex($hex), 4, 1)[0]);
        $strange += $count($with);
        expect($with->comparison->deltaE00)->toBeLessThan(1.2);
    }
    expect($strange)->toBeLessThan($before)->and($strange)->toBeLessThanOrEqual(2);
});
