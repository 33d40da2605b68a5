<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use Tests\Core\Pencils;

/** @return array<int, float> film by stratum after a stack in that hand */
function filmUnder(Hand $hand, string $stack): array
{
    return Pencils::stack($stack)->on(Paper::whiteMedium()->under($hand))->fill;
}

it('presses, lays, wanders, drags and packs as the hand does', function () {
    $light = 'red@0.35';
    expect(filmUnder(new Hand(pressure: 1.6), $light))
        ->toEqualWithDelta(filmUnder(Hand::even(), 'red@0.56'), 1e-9)
        ->and(array_sum(filmUnder(new Hand(laydown: 1.2), $light)))
        ->toBeGreaterThan(1.1 * array_sum(filmUnder(Hand::even(), $light)))
        ->and(array_sum(filmUnder(new Hand(packing: 0.7), 'red@0.55 red@0.55 red@0.55')))
        ->toBeLessThan(0.9 * array_sum(filmUnder(Hand::even(), 'red@0.55 red@0.55 red@0.55')));
    $one = Pencils::named('red')->id();
    expect(filmUnder(new Hand(pencils: [$one => 1.2]), $light))
        ->toEqual(filmUnder(new Hand(laydown: 1.2), $light))
        ->and(filmUnder(new Hand(pencils: [$one => 1.2]), 'blue@0.35'))
        ->toEqual(filmUnder(Hand::even(), 'blue@0.35'));
    $under = static fn (Hand $h): Paper => Paper::whiteMedium()->under($h);
    $stack = Pencils::stack('blue@0.55 red@0.35');
    expect(Steadiness::of($stack, $under(new Hand(spread: 2))))->toBeGreaterThan(1.7 * Steadiness::of($stack, $under(Hand::even())));
    $over = static fn (float $drag): Lab => Lab::ofXyz(Pencils::stack('blue@0.8 yellow@1')->on($under(new Hand(drag: $drag)))->xyz());
    expect($over(0)->deltaE00($over(2)))->toBeGreaterThan(1.0);
    // A hand that drags more does so from a lighter pressure on; one that drags less from the same.
    $medium = static fn (float $drag): Lab => Lab::ofXyz(Pencils::stack('blue@0.8 yellow@0.55')->on($under(new Hand(drag: $drag)))->xyz());
    expect($medium(1)->deltaE00($medium(0.5)))->toBe(0.0)->and($medium(1)->deltaE00($medium(2)))->toBeGreaterThan(0.5);
});

it('is named by a paper, so that nothing made for another hand is taken for its own', function () {
    $paper = Paper::whiteMedium();
    expect($paper->under(Hand::even())->fingerprint())
        ->toBe($paper->fingerprint())
        ->and($paper->under(new Hand(pressure: 1.01))->fingerprint())
        ->not->toBe($paper->fingerprint());
});

it('leaves nothing but numbers behind at its limits', function () {
    mt_srand(3);
    for ($n = 0; $n < 60; $n++) {
        $figures = array_map(static fn (array $r): float => $r[mt_rand(0, 1)], Hand::RANGES);
        $sheet = new Sheet(Paper::whiteMedium()->under(new Hand(...$figures)));
        foreach (['blue', 'yellow', 'red', 'blue'] as $name) {
            LayPass::onto($sheet, Pencils::named($name), [0.2, 0.55, 1.0][mt_rand(0, 2)]);
        }
        foreach ($sheet->meanReflectance() as $r) {
            expect($r)->toBeGreaterThan(0.0)->toBeLessThan(1.0);
        }
    }
});

it('refuses what no hand does', fn () => new Hand(pressure: 3))->throws(OutOfRange::class);
