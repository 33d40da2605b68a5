<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\HandSway;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\PairBook;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

it('is another question for another pencil, paper or hand, and the same for a pencil that is only named otherwise', function () {
    $of = static fn (array $names, ?Paper $paper = null): string => (new Moves(
        new Drawer(array_map(Pencils::named(...), $names)),
        $paper ?? Paper::whiteMedium(),
    ))->fingerprint();
    $all = [
        $of(['red', 'blue']),
        $of(['blue', 'red']),
        $of(['red']),
        $of(['red', 'blue'], PaperShelf::named('black')),
        $of(['red', 'blue'], Paper::whiteMedium()->under(new Hand(pressure: 1.2))),
    ];
    expect(array_unique($all))->toHaveCount(5)->and($of(['red', 'blue']))->toBe($all[0]);
});

it('looks ahead exactly to the second pass, and near enough to further ones', function () {
    $kit = kitOf('red', 'blue', 'yellow', 'dark warm grey');
    $chance = new Chance(14);
    $off = [];
    for ($n = 0; $n < 40; $n++) {
        $length = $n % 4;
        // Light hands: what firm strokes plough up is not foreseen.
        $laid = $kit->book->lay(
            $length === 0
                ? []
                : array_map(
                    static fn (): int => 5 * (int) $chance->between(0, 3.999) + (int) $chance->between(0, 2.999),
                    range(1, $length),
                ),
        );
        $next = $kit->outlook->from($laid);
        $move = 5 * (int) $chance->between(0, 3.999) + (int) $chance->between(0, 2.999);
        $then = $kit->book->onto($laid, $move)->look;
        $foreseen = Look::labOf($next[0][$move], $next[1][$move], $next[2][$move]);
        $length < 2 ? expect($foreseen->deltaE00($then->lab))->toBeLessThan(1e-6) : ($off[] = $foreseen->deltaE00($then->lab));
    }
    sort($off);
    expect($off[intdiv(count($off), 2)])->toBeLessThan(2.0)->and(max($off))->toBeLessThan(6.0);
});

it('lays a pair once and remembers it, whatever short lists its pencils are in', function () {
    $book = new PairBook();
    $first = new Moves(new Drawer(array_map(Pencils::named(...), ['red', 'blue', 'green'])), Paper::whiteMedium());
    $other = new Moves(new Drawer(array_map(Pencils::named(...), ['yellow', 'green', 'red'])), Paper::whiteMedium());
    $onRed = Pencils::sheet('red@0.35');
    $pair = $book->look($first, $onRed, 1, 2 * Moves::PRESSURES + 3);
    expect($pair)
        ->toBe(PairBook::laid($first, $onRed, $first->passes[2 * Moves::PRESSURES + 3]))
        // Green over red in the other list, asked with a sheet that is none: what is known is not laid again.
        ->and($book->look($other, new Sheet(Paper::whiteMedium()), 2 * Moves::PRESSURES + 1, Moves::PRESSURES + 3))
        ->toBe($pair);
});

it('takes a hand that errs by one deviation up where it is light and down where it is firm, farther the more it wanders', function () {
    $errs = static fn (float $spread): array => HandSway::pressures(
        new Moves(new Drawer([Pencils::named('red')]), Paper::whiteMedium()->under(new Hand(spread: $spread))),
    );
    [$even, $wild] = [$errs(1.0), $errs(2.0)];
    foreach ([0.2, 0.35, 0.55, 0.8, 1.0] as $n => $pressure) {
        $up = $n < 3 ? 1 : -1;
        expect($up * ($even[$n] - $pressure))
            ->toBeGreaterThan(0.05)
            ->and($wild[$n] - $pressure)
            ->toEqualWithDelta(2 * ($even[$n] - $pressure), 1e-9);
    }
});

it(
    'sways more by a dark pencil than by a pale one where it is laid lightly, and by four times as much in a hand that wanders twice as '
        .'far',
    function () {
        $of = static function (float $spread): array {
            $moves = new Moves(
                new Drawer(array_map(Pencils::named(...), ['pale blue', 'black'])),
                Paper::whiteMedium()->under(new Hand(spread: $spread)),
            );

            return HandSway::ofMoves($moves, Atlas::of($moves), new LocalMetric(new Lab(60, 0, 0)));
        };
        [$even, $wild] = [$of(1.0), $of(2.0)];
        for ($pressure = 0; $pressure < 3; $pressure++) {
            expect($even[$pressure])->toBeGreaterThan(0.0)->toBeLessThan($even[Moves::PRESSURES + $pressure]);
        }
        foreach ($wild as $move => $sway) {
            expect($sway)->toEqualWithDelta(4 * $even[$move], 1e-9);
        }
    },
);

it('answers alike for one colour and for an area of that one colour', function () {
    $find = new FindSequences(
        new Drawer(array_map(Pencils::named(...), ['red', 'blue', 'yellow', 'green'])),
        Paper::whiteMedium(),
        Method::free(),
        Pencils::shelf(),
    );
    $target = new Lab(48, 18, 12);
    $one = $find->for([new Shade('', $target)])[0];
    $twice = $find->for([new Shade('light', $target, 0.5), new Shade('dark', $target, 0.5)])[0];
    expect($twice->outcomes[0]->errorOnPaper())
        ->toEqualWithDelta($one->errorOnPaper(), 0.15)
        ->and($twice->sequence->pencils())
        ->not->toBe([])
        ->and($twice->outcomes[0]->errorOnPaper())
        ->toEqualWithDelta($twice->outcomes[1]->errorOnPaper(), 0.5);
});
