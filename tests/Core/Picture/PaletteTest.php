<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Picture\Palette\PaletteGround;
use KnottyPrism\Core\Picture\Palette\PaletteSearch;
use KnottyPrism\Core\Picture\Palette\SetCosts;
use KnottyPrism\Core\Picture\Palette\SetForecast;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

/** Six colours of a quay, for eight pencils; made once. */
function quayCosts(): SetCosts
{
    static $costs = null;
    if ($costs === null) {
        $moves = new Moves(drawerOf(EIGHT), Paper::whiteMedium());
        $atlas = Atlas::of($moves);
        $costs = new SetCosts();
        foreach (
            ['#7a4a2e' => 3.0, '#d9d4c8' => 1.0, '#2b2a2e' => 2.0, '#556b2f' => 4.0, '#4a6178' => 1.5, '#b5651d' => 2.5] as $hex => $weight
        ) {
            $costs->add(new SetForecast($moves, $atlas, Lab::ofHex($hex)), $weight);
        }
    }

    return $costs;
}

it('costs a picture no more with a pencil more, whatever it is, and the mean of what its colours cost', function () {
    $costs = quayCosts();
    $chance = new Chance(3);
    $weights = [3.0, 1.0, 2.0, 4.0, 1.5, 2.5];
    for ($n = 0; $n < 40; $n++) {
        $set = array_values(array_filter(range(0, 7), static fn (): bool => $chance->between(0, 1) < 0.4));
        $more = array_values(array_unique([...$set, (int) $chance->between(0, 7.999)]));
        expect($costs->of($more))->toBeLessThanOrEqual($costs->of($set) + 1e-12);
        $each = $costs->each($set);
        expect($costs->of($set))->toEqualWithDelta(
            array_sum(array_map(static fn (float $e, float $w): float => $e * $w, $each, $weights)) / array_sum($weights),
            1e-9,
        );
        foreach ($costs->each($more) as $i => $e) {
            expect($e)->toBeLessThanOrEqual($each[$i] + 1e-12);
        }
    }
    // Without a pencil nothing is near; where nothing is asked for, nothing costs.
    expect(min($costs->each([])))->toBe(40.0)->and((new SetCosts())->of([0, 1]))->toBe(0.0);
});

it('keeps in what is locked in and out what is locked out, and is dearer for it at most', function () {
    $search = new PaletteSearch(quayCosts(), 8);
    $free = $search->best(4);
    expect($free)->toHaveCount(4)->and($free)->toBe($search->best(4));
    foreach (range(0, 7) as $pencil) {
        $with = $search->best(4, [$pencil]);
        $without = $search->best(4, [], [$pencil]);
        expect($with)
            ->toContain($pencil)
            ->toHaveCount(4)
            ->and($without)
            ->not->toContain($pencil)
            ->toHaveCount(4)
            ->and(quayCosts()->of($with))
            ->toBeGreaterThanOrEqual(quayCosts()->of($free) - 1e-9)
            ->and(quayCosts()->of($without))
            ->toBeGreaterThanOrEqual(quayCosts()->of($free) - 1e-9);
    }
    // No more than there are.
    expect($search->best(30))
        ->toHaveCount(8)
        ->and($search->best(8, [], [0, 1, 2]))
        ->toHaveCount(5)
        ->and($search->best(1))
        ->toHaveCount(1);
    expect(fn () => new PaletteSearch(new SetCosts(), 61))
        ->toBeRefused()
        ->and(fn () => new PaletteSearch(new SetCosts(), 0))
        ->toBeRefused();
});

it('tells what every number of pencils costs, never more than one fewer', function () {
    $curve = (new PaletteSearch(quayCosts(), 8))->curve(3, 24);
    expect(array_keys($curve))->toBe([3, 4, 5, 6, 7, 8]);
    foreach (range(4, 8) as $count) {
        expect($curve[$count])->toBeLessThanOrEqual($curve[$count - 1] + 1e-9);
    }
});

it('counts colours that are nearly one as one, takes the atlas that is kept, and tells how far it is', function () {
    $shelf = new MemoryShelf();
    $told = [];
    $wanted = [
        new Shade('', new Lab(50, 20, 20), 1.0),
        new Shade('', new Lab(30, 0, -20), 3.0),
        new Shade('', new Lab(50.4, 20.5, 20), 2.0),
        new Shade('', new Lab(80, 0, 5), 0.5),
    ];
    $ground = PaletteGround::for(drawerOf(EIGHT), Paper::whiteMedium(), $wanted, [], Mode::ColourAndValue, $shelf, static function (
        int $done,
        int $of,
    ) use (&$told): void {
        $told[] = [$done, $of];
    });
    expect($ground->clusterOf[0])
        ->toBe($ground->clusterOf[2])
        ->and(count(array_unique($ground->clusterOf)))
        ->toBe(3)
        ->and($told)
        ->toBe([[0, 3], [1, 3], [2, 3], [3, 3]])
        ->and($shelf->count())
        ->toBe(1)
        ->and($ground->placesOf([Pencils::named('red')->id(), 'nobody']))
        ->toBe([1]);
    $again = PaletteGround::for(drawerOf(EIGHT), Paper::whiteMedium(), $wanted, [], Mode::ColourAndValue, $shelf);
    expect($shelf->count())->toBe(1)->and($again->search->best(3))->toBe($ground->search->best(3));
});
