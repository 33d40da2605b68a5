<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\MethodRefuses;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Shortlist;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

/** @param  list<string>  $names */
function movesOf(array $names): Moves
{
    return new Moves(new Drawer(array_map(Pencils::named(...), $names)), Paper::whiteMedium());
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
            $length = hypot(
                hypot(...array_slice($metric->stretch([$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]]), 0, 2)),
                $metric->stretch([$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]])[2],
            );
            $wrong[] = abs($length - $target->deltaE00($near)) / max(0.3, $target->deltaE00($near));
        }
    }
    sort($wrong);
    expect($wrong[120])->toBeLessThan(0.06)->and($wrong[228])->toBeLessThan(0.3);
});

it('keeps an atlas as bytes that bring back exactly what was computed, and refuses bytes of another drawer', function () {
    $moves = movesOf(['red', 'blue']);
    $atlas = Atlas::of($moves);
    $packed = $atlas->pack();
    expect(Atlas::unpack($packed, $moves))
        ->toEqual($atlas)
        ->and(Atlas::unpack($packed, movesOf(['red'])))
        ->toBeNull()
        ->and(Atlas::unpack(substr($packed, 8), $moves))
        ->toBeNull();
    $shelf = new MemoryShelf();
    $ask = static fn (Paper $paper, string $second): string => (new RecipePlanner(
        new Drawer([Pencils::named('red'), Pencils::named($second)]),
        $paper,
        Method::free(),
        $shelf,
    ))
        ->recipesFor(Lab::ofHex('#996677'))[0]
        ->stack()
        ->text();
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
    expect($ids[0])
        ->toBe('red')
        ->and(array_slice($ids, 1, 4))
        ->toContain('yellow')
        ->toContain('green')
        ->and($ids)
        ->toHaveCount(count(Pencils::names()));
});

it('answers for a colour that a few pencils made no worse on paper than those who made it', function (string $stack) {
    $drawer = new Drawer(array_map(Pencils::named(...), ['yellow', 'orange', 'red', 'violet', 'blue', 'green', 'black']));
    $surest = (new RecipePlanner($drawer, Paper::whiteMedium(), Method::free()))->recipesFor(Pencils::colour($stack), 3)[0];
    $made = Pencils::stack($stack);
    $own = sqrt(
        Steadiness::of($made, Paper::whiteMedium()) ** 2 +
            Doubt::of($made) ** 2 +
            (Shade::SMOOTH * $made->on(Paper::whiteMedium())->grain()) ** 2,
    );
    // A pass or a pencil less may cost what it is priced at.
    expect($surest->answer->errorOnPaper())
        ->toBeLessThan($own + 0.3)
        ->and($surest->answer->errorOnPaper())
        ->toEqualWithDelta(
            sqrt(
                $surest->outcome()->comparison()->deltaE00 ** 2 +
                    $surest->outcome()->sway() ** 2 +
                    Doubt::of($surest->stack()) ** 2 +
                    (Shade::SMOOTH * $surest->outcome()->evenness->grain) ** 2,
            ),
            1e-9,
        );
})->with(['red@0.35', 'yellow@0.55 green@0.35', 'violet@0.35 orange@0.55', 'blue@0.55 red@0.20 yellow@0.55', 'black@0.20 blue@0.35']);

it('leaves the paper bare where the colour is the paper', function () {
    $planner = new RecipePlanner(
        new Drawer(array_map(Pencils::named(...), ['red', 'white', 'dark warm grey'])),
        Paper::whiteMedium(),
        Method::free(),
    );
    $near = Lab::ofReflectance(Paper::whiteMedium()->reflectance);
    [$bare] = $planner->recipesFor(new Lab($near->l - 1, $near->a, $near->b));
    expect($bare->stack()->steps)
        ->toBe([])
        ->and($bare->warnings)
        ->toBe([])
        ->and(count($planner->recipesFor(new Lab($near->l - 5, $near->a, $near->b))[0]->stack()->steps))
        ->toBeLessThanOrEqual(1);
});

it('works with a drawer of one pencil, and says so when there is none', function () {
    $one = new RecipePlanner(new Drawer([Pencils::named('red')]), Paper::whiteMedium(), Method::free());
    $answers = $one->recipesFor(Lab::ofHex('#cc6655'));
    expect(array_map(static fn (Recipe $r): string => $r->answer->label->value, $answers))
        ->toBe(['surest on paper'])
        ->and($answers[0]->stack()->passes())
        ->not->toBe([]);
    expect(fn () => new RecipePlanner(new Drawer([]), Paper::whiteMedium(), Method::free()))->toThrow(
        OutOfRange::class,
        'number of pencils that may be used',
    );
    $black = new RecipePlanner(new Drawer([Pencils::named('black')]), Paper::whiteMedium(), Method::ofSettings(['darks=never-black']));
    expect(fn () => $black->recipesFor(Lab::ofHex('#333333')))->toThrow(MethodRefuses::class, 'darks=never-black');
});

it('refuses limits that make no sense', function () {
    $planner = new RecipePlanner(new Drawer([Pencils::named('red')]), Paper::whiteMedium(), Method::free());
    expect(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 0))
        ->toThrow(OutOfRange::class)
        ->and(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 9))
        ->toThrow(OutOfRange::class)
        ->and(fn () => $planner->recipesFor(Lab::ofHex('#cc6655'), 3, 5))
        ->toThrow(OutOfRange::class);
});

it('knows how much of its film a pass can still lay on what lies there', function () {
    $moves = movesOf(['red']);
    expect($moves->shares(new Sheet(Paper::whiteMedium())))->toBe([1.0, 1.0, 1.0, 1.0, 1.0]);
    $shares = $moves->shares(Pencils::sheet('red@0.80'));
    expect(max($shares))->toBeLessThan(0.7)->and($shares[0])->toBeLessThan($shares[4]);
});

it('answers for every paper with what its own words lay there', function (string $paper) {
    $drawer = new Drawer(array_map(Pencils::named(...), ['yellow', 'red', 'blue', 'green', 'black', 'opaque white']));
    $on = PaperShelf::named($paper);
    $target = Lab::ofHex('#6b7a5c');
    $answers = (new RecipePlanner($drawer, $on, Method::free()))->recipesFor($target);
    foreach ($answers as $recipe) {
        $words = array_map(
            static fn (Pass|Finish $step): string => $step instanceof Pass ? $step->pencil->id().'@'.$step->pressure : $step->value,
            $recipe->stack()->steps,
        );
        $sheet = Pencils::sheet(implode(' ', $words), $on);
        expect($recipe->outcome()->comparison()->deltaE00)
            ->toEqualWithDelta(Lab::ofReflectance($sheet->meanReflectance())->deltaE00($target), 1e-6)
            ->and($recipe->outcome()->toothUsed)
            ->toEqualWithDelta($sheet->toothUsed(), 1e-9)
            ->and($recipe->outcome()->sway())
            ->toEqualWithDelta(Steadiness::of($recipe->stack(), $on), 1e-9);
    }
    expect(min(array_map(static fn (Recipe $r): float => $r->outcome()->comparison()->deltaE00, $answers)))->toBeLessThan(4.0);
})->with(PaperShelf::names());
