<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Desk\Finish\AskFinished;
use KnottyPrism\Core\Desk\Finish\Finding;
use KnottyPrism\Core\Desk\Finish\LaidShade;
use KnottyPrism\Core\Desk\Finish\LaidZone;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Words\BodyCautions;
use KnottyPrism\Core\Desk\Words\HowToLay;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Zones\Importance;
use KnottyPrism\Core\Photo\Zones\Surface;

$shade = static fn (string $called, float $target, float $now): LaidShade => new LaidShade(
    $called,
    new Lab($target, 0, 0),
    new Lab($now, 0, 0),
);
$zone = static fn (
    int $number,
    array $shades,
    int $left = 0,
    Importance $importance = Importance::Ordinary,
    float $white = 0.0,
): LaidZone => new LaidZone($number, "zone $number", $shades, $left, 'Lay 745.', $importance, $white);
$found = static fn (array $findings): array => array_map(static fn (Finding $f): string => "$f->what $f->zone", $findings);

test('what is not done, not dark or not light enough names its zone and one step', function () use ($shade, $zone, $found): void {
    $findings = AskFinished::of(
        [
            $zone(1, [$shade('the light', 80, 90), $shade('the dark', 30, 60)], left: 2),
            $zone(2, [$shade('the light', 80, 79), $shade('the dark', 30, 44)]),
            $zone(3, [$shade('the light', 80, 66), $shade('the dark', 30, 31)]),
            $zone(4, [$shade('the light', 80, 80), $shade('the dark', 30, 33)], white: 0.1),
        ],
        [],
    );
    expect($found($findings))
        ->toBe(['unfinished 1', 'dark 2', 'light 3', 'white 4'])
        ->and($findings[0]->text)
        ->toContain('2 passes')
        ->and($findings[0]->step)
        ->toBe('Lay 745.')
        ->and($findings[1]->text)
        ->toBe('The dark of “zone 2” is 1.5 value steps too light.')
        ->and($findings[2]->step)
        ->toContain('eraser');
});

test('contrast and edges are asked of what matters most', function () use ($shade, $zone, $found): void {
    $flat = [$shade('the light', 60, 60), $shade('the dark', 50, 50)];
    $strong = [$shade('the light', 85, 85), $shade('the dark', 20, 20)];
    $zones = static fn (Importance $a, Importance $b): array => [$zone(1, $flat, 0, $a), $zone(2, $strong, 0, $b)];
    expect($found(AskFinished::of($zones(Importance::Most, Importance::Little), [])))
        ->toBe(['contrast 2'])
        ->and(AskFinished::of($zones(Importance::Ordinary, Importance::Little), []))
        ->toBe([])
        ->and(AskFinished::of($zones(Importance::Little, Importance::Most), []))
        ->toBe([]);
    // The photo parts them by two steps, the drawing by a tenth of one; the darker is drawn along its edge.
    $close = [$zone(1, [$shade('the mid', 60, 50.5)], 0, Importance::Most), $zone(2, [$shade('the mid', 40, 49.5)])];
    expect($found(AskFinished::of($close, [[1, 2], [2, 1]])))
        ->toContain('edge 2')
        ->and($found(AskFinished::of($close, [])))
        ->not->toContain('edge 2')
        ->and(AskFinished::of([], [[1, 2]]))
        ->toBe([]);
});

test('how far it is is said plainly', function (): void {
    expect(array_map(static fn (int $done): string => AskFinished::howFar($done, 100), [0, 5, 25, 50, 80, 99, 100]))
        ->toBe([
            'Not started',
            'Just begun',
            'A quarter done',
            'Halfway',
            'Three quarters done',
            'Nearly done',
            'All passes done',
        ])
        ->and(AskFinished::howFar(0, 0))
        ->toBe('Not started');
});

test('the point and the strokes are those of the pass, cautions stand where they are needed', function (): void {
    $base = new WorkPass('Line/1', [Pressure::Light, Pressure::Light]);
    $touch = new WorkPass('Line/1', [null, Pressure::Light]);
    expect(HowToLay::point($base, [false, true], 4000, true))
        ->toContain('dull')
        ->and(HowToLay::point($touch, [false, true], 4000, true))
        ->toContain('sharp')
        ->and(HowToLay::point($base, [false, true], 60, true))
        ->toContain('sharp')
        ->and(HowToLay::point(new WorkPass('lift', [Pressure::Light]), [false], 900, false))
        ->toContain('eraser')
        ->and(HowToLay::strokes($base, null, Surface::SoftAndFuzzy))
        ->toContain('the way it grows')
        ->and(HowToLay::strokes($base, 'in small circles', Surface::Rough))
        ->toBe('in small circles');
    expect(BodyCautions::at('solvent'))
        ->toBe([Solvent::it()->care])
        ->and(BodyCautions::at('Line/1'))
        ->toBe([])
        ->and(BodyCautions::before(['Line/1', 'solvent']))
        ->toBe([BodyCautions::POINTING, BodyCautions::DUST, Solvent::it()->care])
        ->and(Solvent::it()->care)
        ->toContain('label first');
});
