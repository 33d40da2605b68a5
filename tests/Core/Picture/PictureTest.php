<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Swatches\Coat;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Fade\Ramp;
use KnottyPrism\Core\Picture\Palette\MadeArea;
use KnottyPrism\Core\Picture\Palette\PaletteSearch;
use KnottyPrism\Core\Picture\Palette\Purchases;
use KnottyPrism\Core\Picture\Palette\SetCosts;
use KnottyPrism\Core\Picture\Palette\SetForecast;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Substitute;
use KnottyPrism\Core\Recipe\Warnings\Flat;
use KnottyPrism\Core\Recipe\Warnings\Twins;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use Tests\Core\Pencils;

const EIGHT = ['yellow', 'red', 'violet', 'blue', 'green', 'black', 'orange', 'white'];

/** @param  list<string>  $names */
function drawerOf(array $names): Drawer
{
    return new Drawer(array_map(Pencils::named(...), $names));
}

/** The village of the zones' test, planned with eight ordinary pencils; made once. */
function villagePlan(): PlannedPicture
{
    static $plan = null;
    if ($plan === null) {
        $grid = village();
        $plan = (new PlanPicture(drawerOf(EIGHT), Paper::whiteMedium(), mostPasses: 3))->whole($grid, ZoneMap::proposed($grid, 8));
    }

    return $plan;
}

it('chooses as good a palette as trying all', function (int $count) {
    $moves = new Moves(drawerOf(EIGHT), Paper::whiteMedium());
    $atlas = Atlas::of($moves);
    $costs = new SetCosts();
    $search = new PaletteSearch($costs, 8);
    foreach (
        ['#7a4a2e' => 3.0, '#d9d4c8' => 1.0, '#2b2a2e' => 2.0, '#556b2f' => 4.0, '#4a6178' => 1.5, '#b5651d' => 2.5] as $hex => $weight
    ) {
        $target = Lab::ofHex($hex);
        $costs->add(new SetForecast($moves, $atlas, $target), $weight);
    }
    $least = INF;
    for ($bits = 0; $bits < 256; $bits++) {
        $set = array_values(array_filter(range(0, 7), static fn (int $p): bool => (($bits >> $p) & 1) === 1));
        $least = count($set) === $count ? min($least, $costs->of($set)) : $least;
    }
    $best = $search->best($count);
    expect($best)
        ->toHaveCount($count)
        ->and($costs->of($best))
        ->toBeLessThanOrEqual($least * 1.02);
    $locked = $search->best($count, in: [7], out: [1]);
    expect($locked)->toContain(7)->not->toContain(1)->toHaveCount($count);
    $curve = $search->curve(3, 8);
    expect($curve[3])->toBeGreaterThanOrEqual($curve[5])->and($curve[8])->toEqualWithDelta($costs->of(range(0, 7)), 1e-9);
})->with([2, 3, 4]);

it('plans every shade of every zone, within a few pencils where few are wanted', function () {
    $plan = villagePlan();
    $wanted = array_map(static fn ($zone): array => array_keys($zone->shades), $plan->map->zones);
    $planned = array_map(
        static fn (SequenceAnswer $a): array => array_map(static fn (Shade $s): string => $s->name, $a->shades()),
        $plan->answers(),
    );
    expect(array_keys($planned))->toBe(array_keys($wanted))->and($plan->meanDeltaE00())->toBeLessThan(4.0);
    foreach ($planned as $zone => $names) {
        expect($names)->toEqualCanonicalizing($wanted[$zone]);
    }
    $grid = village();
    $told = [];
    $few = (new PlanPicture(drawerOf(EIGHT), Paper::whiteMedium(), new PlanSettings([['palette=exactly-three']]), mostPasses: 3))->whole(
        $grid,
        $plan->map,
        function (string $what, int $done, int $of) use (&$told): void {
            $told[$what][] = $done / $of;
        },
    );
    expect(count($few->palette()))
        ->toBeLessThanOrEqual(3)
        ->and($few->meanDeltaE00())
        ->toBeGreaterThan($plan->meanDeltaE00())
        ->and(array_map(static fn (array $shares): float => end($shares) + 0.0, $told))
        ->toBe(['palette' => 1.0, 'sequences' => 1.0]);
});

it('says so when no pencil is available', function () {
    $grid = village();
    $none = new Drawer([PencilFit::of(new PencilRecord('', '1', 'Far', '#c03028', owned: false))]);
    expect(
        fn () => (new PlanPicture($none, Paper::whiteMedium()))->whole($grid, ZoneMap::ofLabels($grid, array_fill(0, 150 * 110, 0))),
    )->toThrow(KnottyPrism\Core\Error\OutOfRange::class, 'pencils that may be used');
});

it('names the pencil whose purchase would help the picture most', function () {
    $sky = gridOf(30, 20, static fn (int $x): array => [78 - $x / 3, -4, -16]);
    $wanted = static fn (string $number, string $hex): Pencil => PencilFit::of(
        new PencilRecord('', $number, $number, $hex, Binder::Wax, owned: false),
    );
    $drawer = new Drawer([
        ...drawerOf(['yellow', 'red', 'black'])->pencils,
        $wanted('76', '#8a3030'),
        $wanted('77', '#8ab4d8'),
        $wanted('78', '#30502a'),
    ]);
    $plan = (new PlanPicture($drawer, Paper::whiteMedium(), mostPasses: 2))->whole($sky, ZoneMap::ofLabels($sky, array_fill(0, 600, 0)));
    expect(($plan->purchases[0] ?? null)?->pencil->record->number)
        ->toBe('77')
        ->and($plan->purchases[0]->gain ?? 0.0)
        ->toBeGreaterThan(1.0);

    // Bought, it brings what was said, or more: a whole search finds what a glance does.
    $bought = new Drawer(array_map(static fn (Pencil $p): Pencil => $p->record->number === '77' ? $p->asOwned() : $p, $drawer->pencils));
    $then = (new PlanPicture($bought, Paper::whiteMedium(), mostPasses: 2))->whole($sky, $plan->map);
    expect($plan->errorOnPaper() - $then->errorOnPaper())->toBeGreaterThan(0.9 * ($plan->purchases[0]->gain ?? 0.0));
});

it('advises no purchase for what is well made, none that is not better, and knows what a kept colour is made of', function () {
    $paper = Paper::whiteMedium();
    $wanted = PencilFit::of(new PencilRecord('', '77', 'sky', '#8ab4d8', Binder::Wax, owned: false));
    $made = static fn (string $hex, string $stack): MadeArea => MadeArea::ofColour(Lab::ofHex($hex), Pencils::stack($stack), $paper);
    // A red is well made, and a blue of black on yellow is not.
    $red = MadeArea::ofColour(Pencils::colour('red@0.80'), Pencils::stack('red@0.80'), $paper);
    $sky = $made('#8ab4d8', 'yellow@0.35 black@0.20 solvent');
    expect($sky->answer->outcomes[0]->stack()->text())
        ->toBe(Pencils::stack('yellow@0.35 black@0.20 solvent')->text())
        ->and($sky->key())
        ->not->toBe($red->key())
        ->and($sky->weight())
        ->toBe(1.0);
    expect(Purchases::for([$red], [$wanted], $paper, 3))
        ->toBe([])
        ->and(Purchases::for([], [$wanted], $paper, 3))
        ->toBe([])
        ->and(Purchases::for([$sky], [], $paper, 3))
        ->toBe([]);
    $bought = Purchases::for(
        [$red, $sky],
        [$wanted, PencilFit::of(new PencilRecord('', '78', 'mud', '#5a4a30', Binder::Wax, owned: false))],
        $paper,
        3,
    );
    expect($bought)
        ->toHaveCount(1)
        ->and($bought[0]->pencil->record->number)
        ->toBe('77')
        ->and($bought[0]->pencil->record->owned)
        ->toBeFalse()
        ->and($bought[0]->gain)
        ->toBeGreaterThan(2.0);
});

it('marks zones that touch and end alike, and forms that one pencil makes alone', function () {
    $twins = gridOf(60, 40, static fn (int $x, int $y): array => $x < 30 ? [52, 10, 20] : [52, 9, 20]);
    $map = ZoneMap::ofLabels($twins, array_map(static fn (int $at): int => $at % 60 < 30 ? 0 : 1, range(0, 2399)));
    $codes = static fn (ZoneMap $m, $grid, Drawer $drawer): array => array_map(static function (Warning $w): string {
        expect($w->remedied)->not->toBeNull($w->text)->and($w->remedy)->toContain('likely error then');

        return $w->kind->value;
    }, (new PlanPicture($drawer, Paper::whiteMedium(), mostPasses: 2))->whole($grid, $m)->warnings);
    expect($codes($map, $twins, drawerOf(EIGHT)))->toContain('twins');
    $apart = gridOf(60, 40, static fn (int $x, int $y): array => $x < 30 ? [32, 10, 20] : [70, 4, 20]);
    expect($codes(ZoneMap::ofLabels($apart, $map->labels->numbers()), $apart, drawerOf(EIGHT)))->not->toContain('twins');
    // A form in one red, from a light coat to a heavy one: the planner takes the red alone, and finds what varies it.
    [$light, $heavy] = [Pencils::colour('red@0.35'), Pencils::colour('red@0.80 red@0.80')];
    $form = gridOf(
        60,
        40,
        static fn (int $x, int $y): array => array_map(
            static fn (float $from, float $to): float => $from + (($to - $from) * $x) / 59,
            $light->toArray(),
            $heavy->toArray(),
        ),
    );
    $plan = (new PlanPicture(drawerOf(['red', 'orange', 'pale magenta']), Paper::whiteMedium(), mostPasses: 2))->whole(
        $form,
        ZoneMap::ofLabels($form, array_fill(0, 2400, 0)),
    );
    $flat = array_values(array_filter($plan->warnings, static fn (Warning $w): bool => $w->kind instanceof Flat));
    expect($flat)
        ->not->toBe([])
        ->and(count($flat[0]->remedied?->sequence->pencils() ?? []))
        ->toBeGreaterThan(1)
        ->and($flat[0]->remedy)
        ->toContain('likely error then');
});

it('pushes one of two zones that end just alike the way that its advice says', function (float $l, string $word) {
    $grid = gridOf(60, 40, static fn (): array => [$l, 4, 20]);
    $map = ZoneMap::ofLabels($grid, array_map(static fn (int $at): int => $at % 60 < 30 ? 0 : 1, range(0, 2399)));
    $plan = (new PlanPicture(drawerOf(EIGHT), Paper::whiteMedium(), mostPasses: 2))->whole($grid, $map);
    $twins = array_values(array_filter($plan->warnings, static fn (Warning $w): bool => $w->kind instanceof Twins));
    expect($twins)->toHaveCount(1);
    [$zone, $mid] = [$twins[0]->zones[0], $twins[0]->shades[0]];
    $before = $plan->zones[$zone]->answer->outcomes[$mid]->lab->l;
    $by = ($twins[0]->remedied?->outcomes[$mid]->lab->l ?? $before) - $before;
    expect($twins[0]->remedy)
        ->toContain(" $word along the border")
        ->and($word === 'darker' ? -$by : $by)
        ->toBeGreaterThan(100 / 9 - 1e-6);
})->with([[70.0, 'darker'], [35.0, 'lighter']]);

it('fades evenly from one pencil to the next', function (array $names, float $pressure) {
    $ramp = Ramp::between(array_map(Pencils::named(...), $names), Paper::whiteMedium(), $pressure, 9);
    expect($ramp->unevenness())
        ->toBeLessThanOrEqual(1.5)
        ->and($ramp->steps)
        ->toHaveCount(9)
        ->and($ramp->overlaps())
        ->toHaveCount(count($names) - 1);
    $ends = [$ramp->steps[0], $ramp->steps[8]];
    foreach ([$names[0], $names[count($names) - 1]] as $i => $name) {
        expect($ends[$i]['lab']->deltaE00(Pencils::colour(sprintf('%s@%.2f', $name, $pressure))))->toBeLessThan(1e-6);
    }
    foreach ($ramp->overlaps() as [$from, $to]) {
        expect($from)->toBeLessThan($to);
    }
})->with([
    [['yellow', 'red'], 0.35],
    [['white', 'black'], 0.55],
    [['blue', 'green'], 0.8],
    [['yellow', 'orange', 'violet'], 0.55],
    [['red', 'green'], 1.0],
]);

it('lets half a coat look between none and a whole one', function () {
    $pass = Pencils::stack('blue@0.35')->passes()[0];
    $look = static fn (float $share): Lab => Coat::look([new Coat($pass, $share)], Paper::whiteMedium());
    expect($look(0.5)->l)
        ->toBeLessThan($look(0.0)->l)
        ->toBeGreaterThan($look(1.0)->l)
        ->and($look(1.0)->deltaE00(Pencils::colour('blue@0.35')))
        ->toBeLessThan(1e-6);
});

it('makes a missing pencil from those available, nearer than the nearest of them', function () {
    $missing = DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 3).'/demo/lines/slipway.csv'))->pencil('618');
    $found = Substitute::for($missing, theDemoDrawer(), Paper::whiteMedium());
    expect($found->heavy->outcome()->comparison()->deltaE00)
        ->toBeLessThan(min(2.0, $found->nearestHeavy))
        ->and($found->heavy->outcome()->shade->target->toArray())
        ->toBe(Swatch::Heavy->colourOf($missing)->toArray())
        // A mix may cost more than what is seen in one pencil's place, but no more than a hand would.
        ->and($found->light->answer->errorOnPaper())
        ->toBeLessThan(5.0);
});

it('keeps the value and lets the hue go where value is all that counts', function () {
    $drawer = drawerOf(['yellow', 'red', 'black', 'violet']);
    $find = static fn (Mode $mode): array => array_map(
        static fn (string $hex): float => abs(
            (new RecipePlanner($drawer, Paper::whiteMedium(), Method::free(), mode: $mode))
                ->recipesFor(Lab::ofHex($hex), 3, 1)[0]
                ->outcome()
                ->comparison()->valueError,
        ),
        ['#4a6a8a', '#2f5f3a', '#7fb0c8', '#304060'],
    );
    expect(array_sum($find(Mode::ValueOnly)))
        ->toBeLessThan(array_sum($find(Mode::ColourAndValue)))
        ->and(max($find(Mode::ValueOnly)))
        ->toBeLessThan(0.2)
        ->and(array_sum($find(Mode::ValueFirst)))
        ->toBeLessThanOrEqual(array_sum($find(Mode::ColourAndValue)) + 1e-9);
});
