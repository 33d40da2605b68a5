<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\Ladder;
use KnottyPrism\Core\Recipe\NextMove\AsItLies;
use KnottyPrism\Core\Recipe\NextMove\FindNextMove;
use KnottyPrism\Core\Recipe\NextMove\NextMove;
use Tests\Core\Pencils;

/** @param  list<string>  $drawer */
function moveFor(
    string $done,
    Lab $found,
    Lab $target,
    array $drawer = ['red', 'blue', 'green', 'black', 'yellow', 'white'],
    array $beside = [],
): NextMove {
    return FindNextMove::on(
        AsItLies::of(Pencils::stack($done), $found, Paper::whiteMedium()),
        $target,
        array_map(Pencils::named(...), $drawer),
        $beside,
    );
}

function seenOn(Stack $stack, Hand $hand = new Hand()): Lab
{
    return Lab::ofXyz($stack->on(Paper::whiteMedium()->under($hand))->xyz());
}

it('finds the pass that is missing', function (string $done, string $missing) {
    $found = seenOn(Pencils::stack($done));
    $move = moveFor($done, $found, seenOn(Pencils::stack("$done $missing")));
    [$name, $pressure] = explode('@', $missing);
    expect($move->step)
        ->toBeInstanceOf(Pass::class)
        ->and($move->step->pencil->record->name)
        ->toBe($name)
        ->and($move->step->pressure)
        ->toBe((float) $pressure)
        ->and($move->deltaAfter())
        ->toBeLessThan(0.1)
        ->and($move->words())
        ->toContain($name)
        ->toContain(Pressure::nearest((float) $pressure)->adverb())
        ->toContain('a match');
})->with([['yellow@0.35', 'blue@0.55'], ['red@0.55', 'black@0.35'], ['green@0.35', 'yellow@0.80']]);

it('leaves alone what is near enough, and says so', function () {
    $meant = seenOn(Pencils::stack('red@0.55'));
    $move = moveFor('red@0.55', new Lab($meant->l + 0.8, $meant->a, $meant->b), $meant);
    expect($move->step)->toBeNull()->and($move->words())->toBe('Leave it: this is as close as a hand can get.');
});

it('lifts what a heavy hand has laid too dark', function () {
    $stack = Pencils::stack('black@0.55');
    $move = moveFor('black@0.55', seenOn($stack, new Hand(pressure: 1.2)), seenOn($stack), ['red', 'black', 'blue']);
    expect($move->step)
        ->toBe(Lift::it())
        ->and($move->deltaAfter())
        ->toBeLessThan($move->deltaBefore())
        ->and($move->words())
        ->toStartWith('Lift with a kneaded eraser, ');
});

it('knows when the tooth is full', function () {
    $done = 'black@1.00 black@1.00 black@1.00 black@1.00 black@1.00 black@1.00';
    $found = seenOn(Pencils::stack($done));
    $move = moveFor($done, $found, new Lab(5.0, 10.0, -25.0));
    expect($move->toothUsed)->toBeGreaterThan(0.97)->and($move->step)->toBeNull();
});

it('reaches for a pencil that lies beside the drawing before it fetches one that is hardly better', function () {
    $found = seenOn(Pencils::stack('yellow@0.35'));
    $both = ['black', 'dark warm grey'];
    $mixed = 0;
    foreach (['black@0.20', 'black@0.35', 'dark-warm-grey@0.20', 'dark-warm-grey@0.35'] as $pass) {
        $target = seenOn(Pencils::stack("yellow@0.35 $pass"));
        $alone = array_combine(
            $both,
            array_map(static fn (string $name): float => moveFor('yellow@0.35', $found, $target, [$name])->deltaAfter(), $both),
        );
        foreach ($both as $at => $lies) {
            $chosen = moveFor('yellow@0.35', $found, $target, $both, [Pencils::named($lies)->id()])->step->pencil->record->name;
            $fetched = $both[1 - $at];
            expect($chosen)->toBe($alone[$lies] <= $alone[$fetched] + 0.7 ? $lies : $fetched);
            $mixed += $chosen === $lies ? 1 : -1;
        }
    }
    expect(abs($mixed))->toBeLessThan(8);
    // What is far better is fetched all the same.
    expect(
        moveFor('yellow@0.35', $found, seenOn(Pencils::stack('yellow@0.35 blue@0.55')), ['black', 'blue'], ['black'])->step->pencil
            ->record->name,
    )->toBe('blue');
});

it('takes a place as it really lies: a heavy hand has filled more tooth, and what stays unexplained is carried along', function () {
    $stack = Pencils::stack('blue@0.35 red@0.35');
    $planned = $stack->on(Paper::whiteMedium());
    $heavy = AsItLies::of($stack, seenOn($stack, new Hand(pressure: 1.4)), Paper::whiteMedium());
    expect($heavy->sheet->toothUsed())
        ->toBeGreaterThan($planned->toothUsed() + 0.02)
        ->and($heavy->look($heavy->sheet)->deltaE00($heavy->found))
        ->toBeLessThan(1e-6);
    // A cast that no pressure explains stays in what is foreseen.
    $meant = Lab::ofXyz($planned->xyz());
    $cast = AsItLies::of($stack, new Lab($meant->l, $meant->a, $meant->b + 8), Paper::whiteMedium());
    expect($cast->look($cast->sheet)->b)->toEqualWithDelta($meant->b + 8, 1e-6);
});

it('offers a ladder that darkens rung by rung, with the planned dab in its middle', function () {
    $ladder = Ladder::of(Pencils::stack('blue@0.35 blue@0.35'), Paper::whiteMedium());
    $lights = array_map(static fn ($rung): float => Lab::ofXyz($rung->sheet->xyz())->l, $ladder);
    $sorted = $lights;
    rsort($sorted);
    expect($lights)
        ->toBe($sorted)
        ->and($ladder[3]->words())
        ->toBe('as planned')
        ->and($lights[3])
        ->toEqualWithDelta(seenOn(Pencils::stack('blue@0.35 blue@0.35'))->l, 1e-9)
        ->and(array_unique(array_map(static fn ($rung): string => $rung->words(), $ladder)))
        ->toHaveCount(7);
});
