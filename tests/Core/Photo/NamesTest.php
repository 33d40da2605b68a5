<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Strength;
use KnottyPrism\Core\Colour\Temperature;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Photo\Notes\NamedSpot;
use KnottyPrism\Core\Photo\Notes\SpotPlace;
use KnottyPrism\Core\Photo\Viewing\DrawingFrame;
use KnottyPrism\Core\Photo\Zones\ZoneName;
use KnottyPrism\Core\Recipe\Method\Setting;

it('names zones by their colour, by their place where two would be called alike, and no two alike', function () {
    [$brown, $blue, $grey] = [new Lab(35, 14, 22), new Lab(50, -10, -40), new Lab(52, 0, 0)];
    $names = ZoneName::all([[$brown, [0.9, 0.9]], [$blue, [0.1, 0.1]], [$brown, [0.5, 0.1]], [$grey, [0.5, 0.5]], [$brown, [0.9, 0.9]]]);
    expect($names)->toBe(['dark brown, lower right', 'blue', 'dark brown, upper middle', 'middle grey', 'dark brown, lower right 2']);
});

it('keeps a spot at its own share of every photo until it is placed there', function () {
    $spot = new NamedSpot(3, '  rust  ', [7 => new SpotPlace(0.2, 0.3, 9)]);
    $moved = $spot->placed(8, new SpotPlace(0.6, 0.1, 5));
    expect($spot->name)
        ->toBe('rust')
        ->and($spot->on(8)->x)
        ->toBe(0.2)
        ->and($spot->isPlacedOn(8))
        ->toBeFalse()
        ->and($moved->on(8)->x)
        ->toBe(0.6)
        ->and($moved->on(7)->x)
        ->toBe(0.2)
        ->and($moved->on(99)->x)
        ->toBe(0.2)
        ->and($moved->named('iron')->places)
        ->toBe($moved->places)
        ->and(mb_strlen((new NamedSpot(1, str_repeat('ä', 300), $spot->places))->name))
        ->toBe(80);
    expect(fn () => new NamedSpot(1, " \n", $spot->places))->toThrow(ImpossibleChange::class);
});

it('cuts a photo to the shape of the drawing, whichever is wider, and rules whole squares of it', function () {
    $chance = new Chance(3);
    for ($n = 0; $n < 60; $n++) {
        [$shape, $width, $height, $place] = [
            $chance->between(0.4, 2.5),
            $chance->between(80, 600),
            $chance->between(80, 600),
            $chance->between(0, 1),
        ];
        $frame = new DrawingFrame($shape, $width, $height, $place);
        expect(($frame->width * $shape) / $frame->height)
            ->toEqualWithDelta($width / $height, 1e-9)
            ->and(max($frame->width, $frame->height))
            ->toEqualWithDelta(1.0, 1e-9)
            ->and($frame->left + $frame->width)
            ->toBeLessThanOrEqual(1 + 1e-9)
            ->and(min($frame->left, $frame->top))
            ->toBeGreaterThanOrEqual(0.0);
        $lines = $frame->grid(20.0);
        foreach (
            [
                [$lines->across, $frame->left, $frame->width, $width],
                [$lines->down, $frame->top, $frame->height, $height],
            ] as [$at, $from, $share, $length]
        ) {
            expect(count($at))->toBe((int) ceil($length / 20 - 1e-9) - 1);
            foreach ($at as $i => $line) {
                expect($line - $from)->toEqualWithDelta(($share * 20 * ($i + 1)) / $length, 1e-9);
            }
        }
    }
    expect(fn () => new DrawingFrame(1.5, 10, 100))
        ->toBeRefused()
        ->and(fn () => new DrawingFrame(1.5, 100, 100, 1.2))
        ->toBeRefused()
        ->and(fn () => (new DrawingFrame(1.5, 300, 200))->grid(1))
        ->toBeRefused();
});

it('calls a colour stronger the stronger it is, and warm or cool by its hue alone', function () {
    $order = Strength::cases();
    foreach ([20.0, 80.0, 150.0, 260.0, 330.0] as $hue) {
        $last = 0;
        $temperatures = [];
        for ($chroma = 1; $chroma < 90; $chroma += 4) {
            $lab = new Lab(55, $chroma * cos(deg2rad($hue)), $chroma * sin(deg2rad($hue)));
            $now = (int) array_search(Strength::of($lab), $order, true);
            expect($now)->toBeGreaterThanOrEqual($last);
            $last = $now;
            if ($chroma > 25) {
                $temperatures[] = Temperature::of($lab)->value;
            }
        }
        expect(array_unique($temperatures))->toHaveCount(1);
    }
    expect(Temperature::of(new Lab(55, 40, 40)))
        ->toBe(Temperature::Warm)
        ->and(Temperature::of(new Lab(55, 0, -45)))
        ->toBe(Temperature::Cool)
        ->and(Temperature::of(new Lab(50, 0.1, 0)))
        ->toBe(Temperature::Neutral);
});

it('says of every choice of a method why one would make it', function () {
    $sentences = [];
    foreach (glob(dirname(__DIR__, 3).'/core/Recipe/Method/*.php') ?: [] as $file) {
        $class = 'KnottyPrism\\Core\\Recipe\\Method\\'.basename($file, '.php');
        if (enum_exists($class) && is_a($class, Setting::class, true)) {
            expect($class::title())->not->toBe('');
            foreach ($class::cases() as $choice) {
                expect($choice->why())->toMatch('/^[A-Z].*\.$/u');
                $sentences[] = $class.$choice->why();
            }
        }
    }
    expect(count($sentences))->toBeGreaterThan(20)->and(array_unique($sentences))->toHaveCount(count($sentences));
});
