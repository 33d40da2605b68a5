<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Paper;
use KnottyPrism\Core\Medium\Pass;
use KnottyPrism\Core\Medium\Sheet;
use KnottyPrism\Core\Planning\BeamSearch;
use KnottyPrism\Core\Planning\Candidate;
use KnottyPrism\Core\Planning\Look;
use KnottyPrism\Core\Planning\Moves;
use KnottyPrism\Core\Planning\Objective;
use KnottyPrism\Core\Planning\Pool;
use KnottyPrism\Core\Planning\RecipePlanner;
use KnottyPrism\Core\Planning\Refinement;
use KnottyPrism\Core\Planning\School;
use Tests\Core\Pencils;

/** @param  list<string>  $names */
function movesOf(array $names): Moves
{
    return new Moves(new Drawer(array_map(Pencils::named(...), $names)), Paper::whiteMedium(), School::free());
}

function candidateOf(BeamSearch $search, Lab $target, string $stack): Candidate
{
    $candidate = Candidate::bare(new Sheet(Paper::whiteMedium()), $target);
    foreach (Pencils::stack($stack)->passes() as $pass) {
        $candidate = $search->extend($candidate, $pass);
    }

    return $candidate;
}

it('finds by densities the pass that makes the wanted change', function () {
    $moves = movesOf(['yellow', 'red', 'blue', 'green']);
    $bare = Look::at(new Sheet(Paper::whiteMedium()));
    foreach (['red@0.35', 'blue@0.80', 'yellow@0.55'] as $stack) {
        $look = Look::at(Pencils::sheet($stack));
        $wanted = [$bare->logs[0] - $look->logs[0], $bare->logs[1] - $look->logs[1], $bare->logs[2] - $look->logs[2]];
        $first = $moves->passes[$moves->nearest($wanted, array_fill(0, 5, 1.0), 1.0, 1)[0]];
        expect($first->pencil->id().'@'.number_format($first->pressure, 2))->toBe($stack)
            ->and($moves->leastMiss($wanted, array_fill(0, 5, 1.0)))->toEqualWithDelta(0.0, 1e-9)
            ->and($moves->indexOf(new Pass(Pencils::named('red'), 0.35)))->not->toBeNull();
    }
});

it('offers for a pass that others follow what falls short, not what goes too far', function () {
    $moves = movesOf(['yellow', 'red', 'blue', 'green', 'black']);
    $bare = Look::at(new Sheet(Paper::whiteMedium()));
    $green = Look::at(Pencils::sheet('yellow@0.55 blue@0.35'));
    $wanted = [$bare->logs[0] - $green->logs[0], $bare->logs[1] - $green->logs[1], $bare->logs[2] - $green->logs[2]];
    $beyond = static fn (array $d): float => max(0.0, $d[0] - $wanted[0], $d[1] - $wanted[1], $d[2] - $wanted[2]);
    $chosen = array_map(static fn (int $k): float => $beyond($moves->densities[$k]), $moves->nearest($wanted, array_fill(0, 5, 1.0), 0.12, 8));
    $all = array_map($beyond, $moves->densities);
    expect(array_sum($chosen) / count($chosen))->toBeLessThan(array_sum($all) / count($all) / 5);
    $pencils = array_map(static fn (int $k): string => $moves->passes[$k]->pencil->id(), $moves->nearest($wanted, array_fill(0, 5, 1.0), 0.12, 8));
    expect($pencils)->toContain('yellow')->toContain('blue');
});

it('prices what costs the artist: passes, pencils, spent tooth', function () {
    $target = Pencils::colour('red@0.35 blue@0.35');
    $search = new BeamSearch(movesOf(['red', 'blue']), $target, new Pool);
    $plain = candidateOf($search, $target, 'red@0.35 blue@0.35');
    expect($plain->deltaE00)->toBeLessThan(1e-6)
        ->and(Objective::price($plain))->toEqualWithDelta(2 * 0.06 + 2 * 0.08, 1e-6);
    $spent = candidateOf($search, $target, 'red@1.00 red@1.00 red@1.00 blue@1.00');
    expect(Objective::price($spent) - $spent->deltaE00)->toBeGreaterThan(0.06 * 4 + 0.08 * 2);
});

it('keeps in its pool the closest, and the closest of few pencils however many fine mixtures crowd in', function () {
    $target = Pencils::colour('red@0.55 blue@0.20');
    $pool = new Pool;
    $search = new BeamSearch(movesOf(['red', 'blue', 'violet', 'green']), $target, $pool);
    $single = candidateOf($search, $target, 'violet@0.55');
    $pool->offer($single);
    mt_srand(3);
    for ($n = 0; $n < 1500; $n++) {
        $pool->offer(candidateOf($search, $target, sprintf('red@%.2F blue@%.2F red@%.2F', mt_rand(30, 60) / 100, mt_rand(10, 30) / 100, mt_rand(5, 20) / 100)));
    }
    $pool->offer(candidateOf($search, $target, 'red@0.55 blue@0.20'));
    $kept = $pool->cheapest();
    expect(count($kept))->toBeLessThan(500)->and($kept[0]->key())->toBe('red@0.55,blue@0.2')
        ->and(array_map(static fn (Candidate $c): string => $c->pencilKey(), $pool->cheapestPerPencils()))->toContain('violet');
    $prices = array_map(Objective::price(...), $kept);
    $sorted = $prices;
    sort($sorted);
    expect($prices)->toBe($sorted);
});

it('mends a stack that is nearly right', function (string $wrong) {
    $target = Pencils::colour('violet@0.35 green@0.55');
    $moves = movesOf(['violet', 'green', 'blue', 'yellow', 'red']);
    $pool = new Pool;
    $search = new BeamSearch($moves, $target, $pool);
    $bare = Candidate::bare(new Sheet(Paper::whiteMedium()), $target);
    $mended = (new Refinement($search, $moves, $bare, $pool))->improve(candidateOf($search, $target, $wrong));
    expect($mended->deltaE00)->toBeLessThan(0.01)->and($mended->key())->toBe('violet@0.35,green@0.55');
})->with([
    'a pressure too firm' => 'violet@0.55 green@0.55',
    'two pressures off' => 'violet@0.20 green@0.80',
    'the order turned round' => 'green@0.55 violet@0.35',
    'a pass too many' => 'violet@0.35 green@0.55 yellow@0.20',
]);

it('does not change the pencils that it is told to keep first', function () {
    $target = Pencils::colour('violet@0.35 green@0.55');
    $moves = movesOf(['violet', 'green', 'blue', 'yellow', 'red']);
    $search = new BeamSearch($moves, $target, new Pool);
    $bare = Candidate::bare(new Sheet(Paper::whiteMedium()), $target);
    $mended = (new Refinement($search, $moves, $bare, new Pool, keepFirst: 1))->improve(candidateOf($search, $target, 'red@0.20 green@0.55'));
    expect($mended->passes[0]->pencil->id())->toBe('red');
});

it('finds back a colour that its own pencils made', function (string $stack) {
    $drawer = new Drawer(array_map(Pencils::named(...), ['yellow', 'orange', 'red', 'violet', 'blue', 'green', 'black']));
    $recipes = (new RecipePlanner($drawer, Paper::whiteMedium(), School::free()))->recipesFor(Pencils::colour($stack), 3);
    expect($recipes[0]->comparison->deltaE00)->toBeLessThan(0.5);
})->with(['red@0.35', 'yellow@0.55 green@0.35', 'violet@0.35 orange@0.55', 'blue@0.55 red@0.20 yellow@0.55', 'black@0.20 blue@0.80']);

it('works with a drawer of one pencil, and says so when there is none', function () {
    $one = new RecipePlanner(new Drawer([Pencils::named('red')]), Paper::whiteMedium(), School::free());
    expect($one->recipesFor(Lab::ofHex('#cc6655')))->toHaveCount(1);
    expect(fn () => new RecipePlanner(new Drawer([]), Paper::whiteMedium(), School::free()))->toThrow(OutOfRange::class, 'number of pencils that may be used');
    expect(fn () => new RecipePlanner(new Drawer([Pencils::named('black')]), Paper::whiteMedium(), School::ofSettings(['darks=never-black'])))->toThrow(OutOfRange::class);
});

it('refuses limits that make no sense', function () {
    $planner = new RecipePlanner(new Drawer([Pencils::named('red')]), Paper::whiteMedium(), School::free());
    expect(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 0))->toThrow(OutOfRange::class)
        ->and(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 9))->toThrow(OutOfRange::class)
        ->and(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 3, 5))->toThrow(OutOfRange::class);
});

it('knows how much of its film a pass can still lay on what lies there', function () {
    $moves = movesOf(['red']);
    expect($moves->shares(new Sheet(Paper::whiteMedium())))->toBe([1.0, 1.0, 1.0, 1.0, 1.0]);
    $shares = $moves->shares(Pencils::sheet('red@0.80'));
    expect(max($shares))->toBeLessThan(0.7)->and($shares[0])->toBeLessThan($shares[4]);
});

it('reads a school from settings and refuses what it does not know, with the choices', function () {
    expect(School::ofSettings(['darks=never-black', 'beneath = nothing'])->beneath)->toBe('nothing')
        ->and(School::ofSettings([])->darks)->toBe('black-allowed');
    expect(fn () => School::ofSettings(['lights=x']))->toThrow(UnreadableText::class, 'beneath=…, darks=…')
        ->and(fn () => School::ofSettings(['beneath=mud']))->toThrow(UnreadableText::class, 'any, nothing, complement')
        ->and(fn () => School::ofSettings(['beneath']))->toThrow(UnreadableText::class);
});

it('answers for every paper, and lies within its own promise of steadiness and tooth', function (string $paper) {
    $drawer = new Drawer(array_map(Pencils::named(...), ['yellow', 'red', 'blue', 'green', 'black', 'opaque white']));
    $planner = new RecipePlanner($drawer, KnottyPrism\Core\Medium\PaperShelf::named($paper), School::free());
    foreach ($planner->recipesFor(Lab::ofHex('#6b7a5c')) as $recipe) {
        expect($recipe->prediction->toothUsed())->toBeLessThanOrEqual(1.0)->and($recipe->prediction->steadiness)->toBeGreaterThanOrEqual(0.0)
            ->and($recipe->comparison->deltaE00)->toEqualWithDelta($recipe->prediction->lab()->deltaE00($recipe->target), 1e-9);
    }
})->with(KnottyPrism\Core\Medium\PaperShelf::names());
