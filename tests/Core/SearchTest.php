<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Candidate;
use KnottyPrism\Core\Recipe\Search\Forecast;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Objective;
use KnottyPrism\Core\Recipe\Search\Pool;
use KnottyPrism\Core\Recipe\Search\Refinement;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Search\Shortlist;
use KnottyPrism\Core\Recipe\Search\StackSearch;
use Tests\Core\Pencils;

/** The parts of a search for one target with some pencils on white paper. */
final class Bench
{
    public Moves $moves;

    public Atlas $atlas;

    public Rules $rules;

    public Forecast $forecast;

    public Pool $pool;

    public StackSearch $search;

    /** @param  list<string>  $names */
    public function __construct(array $names, public Lab $target)
    {
        $this->moves = new Moves(new Drawer(array_map(Pencils::named(...), $names)), Paper::whiteMedium());
        $this->atlas = Atlas::of($this->moves);
        $this->rules = new Rules(School::free(), $this->moves, $target, []);
        $this->forecast = new Forecast($this->moves, $this->atlas, $target, $this->rules);
        $this->pool = new Pool;
        $this->search = new StackSearch($this->moves, $this->forecast, $this->pool, $this->rules);
    }

    public function candidate(string $stack): Candidate
    {
        return array_reduce($this->numbers($stack), $this->search->extend(...), $this->search->bare);
    }

    /** @return list<int> the moves of a stack written like "red@0.35 blue@0.55" */
    public function numbers(string $stack): array
    {
        return array_map(fn (Pass $pass): int => (int) array_search($pass, $this->moves->passes, false), Pencils::stack($stack)->passes());
    }

    /** @param  list<int>  $moves */
    public function text(array $moves): string
    {
        return implode(' ', array_map(static fn (Pass $p): string => sprintf('%s@%.2f', $p->pencil->id(), $p->pressure), $this->moves->passesOf($moves)));
    }
}

it('turns a small difference in what the eye receives into about its ΔE00', function () {
    mt_srand(11);
    $wrong = [];
    foreach (['#b7b4a4', '#7a4a2e', '#20242b', '#d8b13a', '#2c5f8a', '#f2efe8'] as $hex) {
        $target = Lab::ofHex($hex);
        $metric = new LocalMetric($target);
        for ($n = 0; $n < 40; $n++) {
            $near = new Lab($target->l + mt_rand(-15, 15) / 10, $target->a + mt_rand(-15, 15) / 10, $target->b + mt_rand(-15, 15) / 10);
            [$from, $to] = [Look::of($target)->logs, Look::of($near)->logs];
            $length = hypot(hypot(...array_slice($metric->stretch([$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]]), 0, 2)), $metric->stretch([$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]])[2]);
            $wrong[] = abs($length - $target->deltaE00($near)) / max(0.3, $target->deltaE00($near));
        }
    }
    sort($wrong);
    expect($wrong[120])->toBeLessThan(0.06)->and($wrong[228])->toBeLessThan(0.3);
});

it('forecasts three passes well enough that what it names first is what laying them all finds', function () {
    $names = ['yellow', 'red', 'blue', 'green'];
    mt_srand(8);
    $hits = 0;
    for ($n = 0; $n < 12; $n++) {
        $pick = static fn (): string => sprintf('%s@%s', $names[mt_rand(0, 3)], ['0.20', '0.35', '0.55', '0.80'][mt_rand(0, 3)]);
        $bench = new Bench($names, Pencils::colour($stack = "{$pick()} {$pick()} {$pick()}"));
        [$a, $b, $c] = $bench->numbers($stack);
        $hits += isset($bench->forecast->triples(array_keys($bench->moves->passes), 80)[($a * 20 + $b) * 20 + $c]) ? 1 : 0;
    }
    expect($hits)->toBeGreaterThanOrEqual(10);
});

it('comes within 0.2 of the best of all stacks of three passes', function () {
    $names = ['yellow', 'red', 'blue', 'black'];
    $reached = [];
    $bench = new Bench($names, Lab::ofHex('#808080'));
    foreach (array_keys($bench->moves->passes) as $a) {
        $one = $bench->search->extend($bench->search->bare, $a);
        foreach (array_keys($bench->moves->passes) as $b) {
            $two = $bench->search->extend($one, $b);
            array_push($reached, $two->look->lab, ...array_map(static fn (int $c): Lab => $bench->search->extend($two, $c)->look->lab, array_keys($bench->moves->passes)));
        }
    }
    $planner = new RecipePlanner(new Drawer(array_map(Pencils::named(...), $names)), Paper::whiteMedium(), School::free());
    mt_srand(4);
    $within = 0;
    for ($n = 0; $n < 30; $n++) {
        $near = $reached[mt_rand(0, count($reached) - 1)];
        $target = new Lab($near->l + mt_rand(-2, 2), $near->a + mt_rand(-2, 2), $near->b + mt_rand(-2, 2));
        $best = min(array_map(static fn (Lab $lab): float => $lab->deltaE00($target), $reached));
        $within += $planner->recipesFor($target, 3, 1)[0]->comparison->deltaE00 <= $best + 0.2 ? 1 : 0;
    }
    expect($within)->toBeGreaterThanOrEqual(28);
});

it('keeps an atlas as bytes that bring back exactly what was computed, and refuses bytes of another drawer', function () {
    $bench = new Bench(['red', 'blue'], Lab::ofHex('#996677'));
    $packed = $bench->atlas->pack();
    expect(Atlas::unpack($packed, $bench->moves))->toEqual($bench->atlas)
        ->and(Atlas::unpack($packed, (new Bench(['red'], Lab::ofHex('#996677')))->moves))->toBeNull()
        ->and(Atlas::unpack(substr($packed, 8), $bench->moves))->toBeNull();
    $shelf = new MemoryShelf;
    $ask = static fn (Paper $paper, string $second): string => (new RecipePlanner(new Drawer([Pencils::named('red'), Pencils::named($second)]), $paper, School::free(), $shelf))->recipesFor(Lab::ofHex('#996677'))[0]->stack->text();
    $fresh = $ask(Paper::whiteMedium(), 'blue');
    expect($shelf)->toHaveCount(1)->and($ask(Paper::whiteMedium(), 'blue'))->toBe($fresh)->and($shelf)->toHaveCount(1);
    $ask(PaperShelf::named('white smooth'), 'blue');
    $ask(Paper::whiteMedium(), 'green');
    expect($shelf)->toHaveCount(3);
});

it('shortens a large drawer to what comes near the target', function () {
    $moves = new Moves(new Drawer(array_map(Pencils::named(...), Pencils::names())), Paper::whiteMedium());
    $list = (new Shortlist($moves))->for(Pencils::colour('yellow@0.55 green@0.35'), [Pencils::named('red')])->pencils;
    $ids = array_map(static fn ($p): string => $p->id(), $list);
    expect($ids[0])->toBe('red')->and(array_slice($ids, 1, 4))->toContain('yellow')->toContain('green')->and($ids)->toHaveCount(count(Pencils::names()));
});

it('prices what costs the artist: passes, pencils, spent tooth', function () {
    $bench = new Bench(['red', 'blue'], Pencils::colour('red@0.35 blue@0.35'));
    $plain = $bench->candidate('red@0.35 blue@0.35');
    expect($plain->deltaE00)->toBeLessThan(1e-6)
        ->and((new Objective)->price($plain))->toEqualWithDelta(2 * 0.05 + 2 * 0.06 + 0.02 * sqrt($plain->sway), 1e-6);
    $spent = $bench->candidate('red@1.00 red@1.00 red@1.00 blue@1.00');
    expect((new Objective)->price($spent) - $spent->deltaE00)->toBeGreaterThan(0.05 * 4 + 0.06 * 2);
});

it('mends a stack that is nearly right', function (string $wrong) {
    $bench = new Bench(['violet', 'green', 'blue', 'yellow', 'red'], Pencils::colour('violet@0.35 green@0.55'));
    $refinement = new Refinement($bench->search, $bench->forecast, $bench->pool, $bench->rules, array_keys($bench->moves->passes), 4);
    $mended = $refinement->improve($bench->candidate($wrong), (new Objective)->price(...));
    expect($mended->deltaE00)->toBeLessThan(0.01)->and($bench->text($mended->moves))->toBe('violet@0.35 green@0.55');
})->with([
    'a pressure too firm' => 'violet@0.55 green@0.55',
    'two pressures off' => 'violet@0.20 green@0.80',
    'the order turned round' => 'green@0.55 violet@0.35',
    'a pass too many' => 'violet@0.35 green@0.55 yellow@0.20',
]);

it('splits a pass into softer ones where that makes a stack steadier, and not beyond the passes allowed', function () {
    $bench = new Bench(['blue', 'yellow', 'red', 'green'], Pencils::colour('blue@0.80'));
    $sway = static fn (Candidate $c): float => sqrt($c->sway) + 10 * max(0.0, $c->deltaE00 - 3.0);
    $improved = static fn (int $most, bool $splits): Candidate => (new Refinement($bench->search, $bench->forecast, $bench->pool, $bench->rules, array_keys($bench->moves->passes), $most))
        ->improve($bench->candidate('blue@0.80'), $sway, 24, $splits);
    $steadiness = static fn (Candidate $c): float => Steadiness::of(Pencils::stack($bench->text($c->moves)), Paper::whiteMedium());
    $split = $improved(4, true);
    expect(count($split->moves))->toBeGreaterThan(1)->toBeLessThan(5)
        ->and($steadiness($split))->toBeLessThan(0.92 * $steadiness($improved(4, false)))
        ->and($improved(1, true)->moves)->toHaveCount(1);
});

it('begins only with what it is told to begin with', function () {
    $bench = new Bench(['violet', 'green', 'blue', 'yellow', 'red'], Pencils::colour('violet@0.35 green@0.55'));
    $red = $bench->moves->with([Pencils::named('red')]);
    $bench->search->run($red, 4);
    (new Refinement($bench->search, $bench->forecast, $bench->pool, $bench->rules, $red, 4))->improve($bench->pool->cheapest()[0], (new Objective)->price(...));
    $firsts = array_unique(array_map(static fn (Candidate $c): int => Moves::pencilOf($c->moves[0]), $bench->pool->cheapest()));
    expect($firsts)->toBe([4])->and(count($bench->pool->cheapest()))->toBeGreaterThan(100);
});

it('tells by estimate which stacks a hand sways more', function () {
    $bench = new Bench(['red', 'blue', 'yellow', 'black'], Lab::ofHex('#8a6a50'));
    $stacks = ['red@0.35 blue@0.20', 'yellow@0.55 black@0.20', 'blue@0.80', 'red@0.20 red@0.20', 'black@0.55 yellow@0.55', 'yellow@0.20', 'blue@0.35 yellow@0.80 red@0.20'];
    $estimated = array_map(static fn (string $s): float => sqrt($bench->candidate($s)->sway), $stacks);
    $worked = array_map(static fn (string $s): float => Steadiness::of(Pencils::stack($s), Paper::whiteMedium()), $stacks);
    $agree = $pairs = 0;
    foreach ($worked as $i => $one) {
        foreach ($worked as $j => $other) {
            if ($one > 1.3 * $other) {
                $pairs++;
                $agree += $estimated[$i] > $estimated[$j] ? 1 : 0;
            }
        }
    }
    expect($agree / $pairs)->toBeGreaterThan(0.8);
});

it('finds back a colour that its own pencils made', function (string $stack) {
    $drawer = new Drawer(array_map(Pencils::named(...), ['yellow', 'orange', 'red', 'violet', 'blue', 'green', 'black']));
    $recipes = (new RecipePlanner($drawer, Paper::whiteMedium(), School::free()))->recipesFor(Pencils::colour($stack), 3);
    expect($recipes[0]->comparison->deltaE00)->toBeLessThan(0.5);
})->with(['red@0.35', 'yellow@0.55 green@0.35', 'violet@0.35 orange@0.55', 'blue@0.55 red@0.20 yellow@0.55', 'black@0.20 blue@0.80']);

it('works with a drawer of one pencil, and says so when there is none', function () {
    $one = new RecipePlanner(new Drawer([Pencils::named('red')]), Paper::whiteMedium(), School::free());
    $answers = array_map(static fn (KnottyPrism\Core\Recipe\Recipe $r): string => $r->label->value, $one->recipesFor(Lab::ofHex('#cc6655')));
    expect($answers)->toBe(['closest', 'steadiest']);
    expect(fn () => new RecipePlanner(new Drawer([]), Paper::whiteMedium(), School::free()))->toThrow(OutOfRange::class, 'number of pencils that may be used');
    $black = new RecipePlanner(new Drawer([Pencils::named('black')]), Paper::whiteMedium(), School::ofSettings(['darks=never-black']));
    expect(fn () => $black->recipesFor(Lab::ofHex('#333333')))->toThrow(SchoolRefuses::class, 'darks=never-black');
});

it('refuses limits that make no sense', function () {
    $planner = new RecipePlanner(new Drawer([Pencils::named('red')]), Paper::whiteMedium(), School::free());
    expect(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 0))->toThrow(OutOfRange::class)
        ->and(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 9))->toThrow(OutOfRange::class)
        ->and(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 3, 5))->toThrow(OutOfRange::class);
});

it('knows how much of its film a pass can still lay on what lies there', function () {
    $moves = (new Bench(['red'], Lab::ofHex('#cc6655')))->moves;
    expect($moves->shares(new Sheet(Paper::whiteMedium())))->toBe([1.0, 1.0, 1.0, 1.0, 1.0]);
    $shares = $moves->shares(Pencils::sheet('red@0.80'));
    expect(max($shares))->toBeLessThan(0.7)->and($shares[0])->toBeLessThan($shares[4]);
});

it('answers for every paper, and lies within its own promise of steadiness and tooth', function (string $paper) {
    $drawer = new Drawer(array_map(Pencils::named(...), ['yellow', 'red', 'blue', 'green', 'black', 'opaque white']));
    $planner = new RecipePlanner($drawer, PaperShelf::named($paper), School::free());
    foreach ($planner->recipesFor(Lab::ofHex('#6b7a5c')) as $recipe) {
        expect($recipe->prediction->toothUsed())->toBeLessThanOrEqual(1.0)->and($recipe->prediction->steadiness)->toBeGreaterThanOrEqual(0.0)
            ->and($recipe->comparison->deltaE00)->toEqualWithDelta($recipe->prediction->lab()->deltaE00($recipe->target), 1e-9);
    }
})->with(PaperShelf::names());
