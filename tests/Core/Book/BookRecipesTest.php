<?php

declare(strict_types=1);

use KnottyPrism\Core\Book\Recipes\BookRecipe;
use KnottyPrism\Core\Book\Recipes\ColourSearch;
use KnottyPrism\Core\Book\Recipes\LayAgain;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

it('finds every like colour that a look at all of them finds, the nearest first', function () {
    mt_srand(11);
    $random = static fn (): Lab => new Lab(mt_rand(0, 1000) / 10, mt_rand(-800, 800) / 10, mt_rand(-800, 800) / 10);
    $colours = [];
    for ($i = 0; $i < 3000; $i++) {
        $colours[] = [intdiv($i, 3), $random()];
    }
    for ($try = 0; $try < 20; $try++) {
        $like = $try % 2 === 0 ? $random() : $colours[$try * 7][1];
        $all = [];
        foreach ($colours as [$recipe, $lab]) {
            $apart = $lab->deltaE00($like);
            if ($apart <= ColourSearch::FARTHEST) {
                $all[$recipe] = min($all[$recipe] ?? INF, $apart);
            }
        }
        asort($all);
        expect(ColourSearch::nearest($colours, $like, 10_000))
            ->toBe($all)
            ->and(array_keys(ColourSearch::nearest($colours, $like, 2)))
            ->toBe(array_slice(array_keys($all), 0, 2));
    }
});

it('lays a recipe again: as it was where all are available, else with what brings it nearest to what it came to', function () {
    $paper = Paper::whiteMedium();
    $pencils = array_map(Pencils::named(...), ['yellow', 'red', 'violet', 'green', 'black']);
    $notes = new SequenceNote([
        new PassNote($pencils[1]->id(), ['light' => Pressure::Light, 'mid' => Pressure::Medium]),
        new PassNote($pencils[2]->id(), ['mid' => Pressure::Light]),
    ]);
    $named = [new Shade('light', new Lab(50, 0, 0), 1.0), new Shade('mid', new Lab(50, 0, 0), 2.0)];
    $sequence = $notes->read(new Drawer($pencils), $named);
    $shades = array_map(
        static fn (Shade $s, int $i): Shade => $s->aimedAt(Lab::ofXyz($sequence->stackIn($i)->on($paper)->xyz())),
        $named,
        [0, 1],
    );
    $recipe = new BookRecipe($shades, $notes, new Drawer([$pencils[1], $pencils[2]]));
    $again = LayAgain::with($recipe, new Drawer($pencils), $paper);
    expect($again->standIns)->toBe([])->and($again->answer->missed())->toBeLessThan(1e-6);
    $left = array_values(array_filter($pencils, static fn ($p): bool => $p !== $pencils[2]));
    $without = LayAgain::with($recipe, new Drawer($left), $paper);
    expect($without->standIns)
        ->toHaveCount(1)
        ->and($without->standIns[0]->missing->id())
        ->toBe($pencils[2]->id())
        ->and($without->answer->missed())
        ->toEqualWithDelta($without->standIns[0]->apart, 1e-6);
    // No other available pencil, pressed as hard as the missing one, would have come nearer.
    foreach ($left as $other) {
        $tried = (new SequenceNote([$notes->passes[0], new PassNote($other->id(), $notes->passes[1]->pressures)]))->read(
            new Drawer($left),
            $named,
        );
        $apart =
            array_sum(
                array_map(
                    static fn (Shade $s, int $i): float => $s->weight *
                        Lab::ofXyz($tried->stackIn($i)->on($paper)->xyz())->deltaE00($s->target),
                    $shades,
                    [0, 1],
                ),
            ) / 3;
        expect($without->standIns[0]->apart)->toBeLessThanOrEqual($apart + 1e-9);
    }
    expect($without->standIns[0]->words())->toContain('is not available');
});
