<?php

declare(strict_types=1);

use KnottyPrism\Core\Desk\Order\Coats;
use KnottyPrism\Core\Desk\Order\DeskStep;
use KnottyPrism\Core\Desk\Order\DeskZones;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Words\HowToLay;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceWords;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

it('takes together what follows itself alike in a zone, and nothing else', function () {
    [$light, $medium] = [[Pressure::Light], [Pressure::Medium]];
    $step = static fn (
        int $zone,
        int $pass,
        string $tool,
        array $pressures,
        float $dries = 0.0,
        int $turn = 0,
    ): PlacedStep => new PlacedStep(new DeskStep($zone, $pass, $tool, 5.0, $dries, pressures: $pressures), 0.0, 0.0, $turn, 0.0);
    $order = [
        $step(1, 0, 'A', $light),
        $step(1, 1, 'A', $light),
        $step(1, 2, 'A', $medium),
        $step(2, 0, 'A', $medium),
        $step(2, 1, 'A', $medium),
        $step(2, 2, 'A', $medium),
        $step(1, 3, 'B', $light),
        $step(1, 4, 'B', $light, turn: 1),
        $step(3, 0, 'solvent', $light, 5.0),
        $step(3, 1, 'solvent', $light, 5.0),
    ];
    $together = Coats::together($order);
    expect(array_map(count(...), $together))
        ->toBe([2, 1, 3, 1, 1, 1, 1])
        ->and(array_merge(...$together))
        ->toBe($order)
        ->and(Coats::together([]))
        ->toBe([]);
});

it('says coats as one would', function () {
    $shades = [new Shade('light', Pencils::colour('green@0.20'), 0.5), new Shade('dark', Pencils::colour('green@1.00'), 0.5)];
    $green = Pencils::named('green');
    [$even, $graded, $tissue] = [
        new GradedPass($green, [Pressure::Light, Pressure::Light]),
        new GradedPass($green, [Pressure::Whisper, Pressure::Firm]),
        new GradedPass(Tissue::it(), [Pressure::Light, Pressure::Light]),
    ];
    $words = SequenceWords::of(new Sequence([$even, $even, $graded, $even]), $shades);
    expect($words->pass($even, 2))
        ->toStartWith('two light coats of ')
        ->toEndWith(' over all of it')
        ->and($words->manner($even, 3))
        ->toBe('three light coats over all of it')
        ->and($words->manner($even))
        ->toBe('over all of it lightly')
        ->and($words->manner($graded, 2))
        ->toEndWith('to firm in the darks, in two coats')
        ->and($words->pass($tissue, 2))
        ->toBe('tissue over all of it, in two coats')
        ->and($words->steps())
        ->toHaveCount(3)
        ->and($words->whole())
        ->toStartWith('two light coats of ');
});

it('goes over the pieces of a zone away from the hand, and reckons ways from the nearest of them', function () {
    // Zone 2 lies at the far left and the far right of zone 1, with a speck in the middle; zone 3 beneath the right end.
    $labels = LabelGrid::ofNumbers(
        30,
        10,
        array_map(
            static fn (int $at): int => match (true) {
                intdiv($at, 30) < 6 && ($at % 30 < 5 || $at % 30 >= 25), $at === 15 => 2,
                intdiv($at, 30) >= 7 && $at % 30 >= 25 => 3,
                default => 1,
            },
            range(0, 299),
        ),
    );
    $zones = DeskZones::of($labels, 300, 100, [1 => 'wall', 2 => 'columns', 3 => 'step'], [1 => 80.0, 2 => 30.0, 3 => 60.0]);
    expect($zones[2]->pieces)
        ->toBe(3)
        ->and($zones[2]->places)
        ->toHaveCount(2)
        ->and($zones[2]->from(275, 30))
        ->toBeLessThan(10.0)
        ->and($zones[2]->from(25, 30))
        ->toBeLessThan(10.0)
        ->and($zones[2]->to($zones[3]))
        ->toBeLessThan(65.0)
        ->and(hypot($zones[2]->x - $zones[3]->x, $zones[2]->y - $zones[3]->y))
        ->toBeGreaterThan(120.0);
    expect(HowToLay::pieces($zones[2], false))
        ->toBe('One after the other: upper left, upper right.')
        ->and(HowToLay::pieces($zones[2], true))
        ->toBe('One after the other: upper right, upper left.')
        ->and(HowToLay::pieces($zones[3], false))
        ->toBeNull();
});
