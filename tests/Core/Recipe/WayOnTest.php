<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\NextMove\AsItLies;
use KnottyPrism\Core\Recipe\NextMove\FindWayOn;
use KnottyPrism\Core\Recipe\NextMove\WayOn;
use Tests\Core\Pencils;

/** What to do after the passes done, where the whole stack is the plan and the target what it comes to. */
function wayOn(string $done, string $toCome, ?Lab $found = null, ?Lab $target = null): WayOn
{
    $paper = Paper::whiteMedium();
    $see = static fn (string $stack): Lab => Lab::ofXyz(Pencils::stack($stack)->on($paper)->xyz());
    $expected = $see($done);

    return FindWayOn::from(
        AsItLies::of(Pencils::stack($done), $found ?? $expected, $paper),
        $target ?? $see(trim("$done $toCome")),
        $expected,
        $toCome === '' ? new Stack([]) : Pencils::stack($toCome),
        array_map(Pencils::named(...), ['red', 'blue', 'black', 'yellow']),
        [],
    );
}

it('goes on as planned where the drawing is as planned, or nearly', function () {
    $way = wayOn('yellow@0.35', 'blue@0.55 red@0.35');
    expect($way->isAsPlanned())
        ->toBeTrue()
        ->and($way->words())
        ->toStartWith('Go on: blue at medium pressure; it then ends ')
        ->and($way->end->deltaE00($way->target))
        ->toBeLessThan(0.1);
});

it('presses the next pass otherwise where the last came out otherwise', function () {
    $paper = Paper::whiteMedium();
    $light = Lab::ofXyz(Pencils::stack('black@0.35')->on($paper->under(new Hand(pressure: 0.6)))->xyz());
    $firmer = wayOn('black@0.35', 'black@0.35', $light);
    expect($firmer->isAsPlanned())
        ->toBeFalse()
        ->and($firmer->next->pressure)
        ->toBeGreaterThan(0.35)
        ->and($firmer->words())
        ->toContain('in place of lightly');
});

it('leaves a pass out, or lifts first, where it is too dark already', function () {
    $dark = Lab::ofXyz(
        Pencils::stack('blue@0.35')
            ->on(Paper::whiteMedium()->under(new Hand(pressure: 1.5)))
            ->xyz(),
    );
    $way = wayOn('blue@0.35', 'blue@0.20', $dark);
    expect($way->next === null || $way->lifts > 0)
        ->toBeTrue()
        ->and($way->words())
        ->toMatch('/^(Leave out blue|Lift first)/');
});

it('leaves a finished place alone that came out as planned, and mends one that did not', function () {
    expect(wayOn('red@0.55 blue@0.35', '', target: new Lab(20, 0, 0))->words())->toBe('Leave it: it turned out as planned.');
    $pale = Lab::ofXyz(Pencils::stack('red@0.35')->on(Paper::whiteMedium())->xyz());
    $mend = wayOn('red@0.55 blue@0.35', '', $pale);
    expect($mend->last?->step)
        ->not->toBeNull()
        ->not->toBe(Lift::it())
        ->and($mend->end->deltaE00($mend->target))
        ->toBeLessThan($pale->deltaE00($mend->target));
});
