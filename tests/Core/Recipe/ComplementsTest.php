<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use KnottyPrism\Core\Recipe\Complements\Neutralisers;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Method\Neutralising;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

/** @return array{Moves, ComplementTable} */
function allOrdinary(): array
{
    static $made = null;

    return $made ??= [
        ($moves = new Moves(new Drawer(array_map(Pencils::named(...), Pencils::names())), Paper::whiteMedium())),
        new ComplementTable($moves->pencils, Paper::whiteMedium()),
    ];
}

it('neutralises by what is really laid: a good part of the strength gone, nothing turned green, the best first', function (string $name) {
    [, $table] = allOrdinary();
    $pencil = Pencils::named($name);
    $alone = Pencils::colour("$name@0.55");
    $found = $table->neutralisersOf($pencil);
    $last = 0.0;
    foreach ($found as $complement) {
        $laid = Lab::ofXyz($complement->stack->on(Paper::whiteMedium())->xyz());
        expect($complement->pencil)
            ->not->toBe($pencil)
            ->and($laid->deltaE00($complement->mix))
            ->toBeLessThan(1e-6)
            ->and($complement->mix->chroma())
            ->toBeLessThan(0.66 * $alone->chroma())
            ->toBeGreaterThanOrEqual($last);
        $last = $complement->mix->chroma();
    }
    expect(count($found))->toBeLessThanOrEqual(3)->and($table->neutralisersOf($pencil))->toBe($found);
})->with(['red', 'orange', 'yellow', 'green', 'blue', 'violet']);

it('darkens and keeps the hue, brightens without bleaching, and has neither for what has no colour', function () {
    [, $table] = allOrdinary();
    $found = 0;
    foreach (['red', 'orange', 'yellow', 'green', 'blue', 'violet'] as $name) {
        $alone = Pencils::colour("$name@0.55");
        $darker = $table->darkenerOf(Pencils::named($name));
        if ($darker === null) {
            continue;
        }
        $found++;
        expect($darker->mix->l)
            ->toBeLessThan($alone->l - 2)
            ->and(hypot($darker->mix->a - $alone->a, $darker->mix->b - $alone->b))
            ->toBeLessThan($alone->l - $darker->mix->l);
    }
    expect($found)
        ->toBeGreaterThan(2)
        ->and($table->brightenerOf(Pencils::named('green'))?->pencil)
        ->toBe(Pencils::named('yellow'))
        ->and($table->brightenerOf(Pencils::named('black')))
        ->toBeNull();
});

it('takes the wheel where the method says so, or where a colour has no strength to take', function () {
    [$moves, $table] = allOrdinary();
    $computed = new Neutralisers($moves, $table, Neutralising::Computed);
    $wheel = new Neutralisers($moves, $table, Neutralising::Traditional);
    $orange = Pencils::colour('orange@0.80');
    expect($wheel->of($orange))
        ->toContain(Pencils::named('blue'))
        ->and($computed->of($orange))
        ->not->toContain(Pencils::named('blue'))
        ->and(count($computed->of($orange)))
        ->toBeLessThanOrEqual(3)
        ->toBeGreaterThan(0);
    // Of one pass the nearest is that pass.
    foreach (['violet@0.55', 'yellow@0.20', 'black@1.00'] as $text) {
        $pass = $computed->nearestPass(Pencils::colour($text));
        expect(sprintf('%s@%.2f', $pass->pencil->record->number, $pass->pressure))->toBe($text);
    }
    expect($computed->ofPencil(Pencils::colour('black@0.55'), Pencils::named('black')))->toBe(
        $wheel->ofPencil(Pencils::colour('black@0.55'), Pencils::named('black')),
    );
});

it('sways more in a hand that wanders more, not at all in one that never does, and least where paper is nearly full', function () {
    $at = static fn (string $text, float $spread): float => Steadiness::of(
        Pencils::stack($text),
        Paper::whiteMedium()->under(new Hand(spread: $spread)),
    );
    foreach (['red@0.20', 'yellow@0.35 blue@0.35', 'black@0.55 white@0.80'] as $text) {
        expect($at($text, 0.5))
            ->toBeLessThan($at($text, 1.0))
            ->and($at($text, 1.0))
            ->toBeLessThan($at($text, 2.0))
            ->and($at($text, 2.0) / $at($text, 1.0))
            ->toBeGreaterThan(1.5)
            ->toBeLessThan(2.6);
    }
    expect(Steadiness::of(Pencils::stack('red@1.00 red@1.00 red@1.00'), Paper::whiteMedium()))->toBeLessThan(
        Steadiness::of(Pencils::stack('red@0.35'), Paper::whiteMedium()),
    );
});

it('adds up for an area by the weights of its shades, and says what each is made of', function () {
    $sequence = workedSo('yellow 2,3; red 1,4; blue -,2');
    $shades = [new Shade('light', new Lab(78, 8, 30), 0.7), new Shade('dark', new Lab(40, 20, 15), 0.3)];
    $answer = SequenceAnswer::of(RecipeLabel::Surest, $sequence, $shades, Paper::whiteMedium(), Mode::ColourAndValue);
    [$light, $dark] = $answer->outcomes;
    expect($answer->errorOnPaper())
        ->toEqualWithDelta(0.7 * $light->errorOnPaper() + 0.3 * $dark->errorOnPaper(), 1e-9)
        ->and($answer->errorInHand())
        ->toEqualWithDelta(0.7 * $light->errorInHand() + 0.3 * $dark->errorInHand(), 1e-9)
        ->and($dark->errorOnPaper())
        ->toEqualWithDelta(
            sqrt($dark->missed ** 2 + $dark->sway() ** 2 + $dark->doubt ** 2 + (Shade::SMOOTH * $dark->evenness->grain) ** 2),
            1e-9,
        )
        ->and($dark->errorInHand())
        ->toEqualWithDelta(sqrt($dark->missed ** 2 + $dark->sway() ** 2), 1e-9)
        ->and($answer->shadeNamed('dark'))
        ->toBe(1)
        ->and($answer->shadeNamed('nowhere'))
        ->toBeNull()
        ->and(count($light->stack()->steps))
        ->toBe(2)
        ->and(count($dark->stack()->steps))
        ->toBe(3)
        ->and($dark->doubt)
        ->toBeGreaterThan($light->doubt);
});
