<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Contrast;
use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Formats\SpotList;

/** The eighteen families in the order of the ring. */
const RING = [
    'red, leaning violet',
    'red',
    'red, leaning orange',
    'orange, leaning red',
    'orange',
    'orange, leaning yellow',
    'yellow, leaning orange',
    'yellow',
    'yellow, leaning green',
    'green, leaning yellow',
    'green',
    'green, leaning blue',
    'blue, leaning green',
    'blue',
    'blue, leaning violet',
    'violet, leaning blue',
    'violet',
    'violet, leaning red',
];

/** Two hundred colours all round the ring: light and middling, from muted to as strong as a screen shows. */
function twoHundred(): array
{
    $colours = [];
    for ($i = 0; $i < 200; $i++) {
        $colours[] = [new Lab(64 + 12 * ($i % 3), 0, 0), (360 * $i) / 200, 30 + 5 * ($i % 5)];
    }

    return array_map(static fn (array $c): Lab => new Lab($c[0]->l, $c[2] * cos(deg2rad($c[1])), $c[2] * sin(deg2rad($c[1]))), $colours);
}

it('gives different families different words, and neighbours neighbouring words, over two hundred colours', function () {
    $colours = twoHundred();
    usort($colours, static fn (Lab $a, Lab $b): int => Oklch::ofLab($a)->hueDegrees <=> Oklch::ofLab($b)->hueDegrees);
    $places = array_map(static fn (Lab $lab): int|false => array_search(Family::of($lab)->words(), RING, true), $colours);
    expect($places)->not->toContain(false)->and(array_unique($places))->toHaveCount(18);
    // Walking round the ring, the words turn with it, one family at a time, and come back to where they began.
    $turns = 0;
    foreach ($places as $i => $place) {
        $step = ($places[($i + 1) % 200] - $place + 18) % 18;
        expect($step)->toBeLessThanOrEqual(1);
        $turns += $step;
    }
    expect($turns)->toBe(18);
});

it('names the families a colour lies nearest to', function () {
    foreach (twoHundred() as $lab) {
        $own = (int) array_search(Family::of($lab)->words(), RING, true);
        $near = Family::besides($lab);
        expect($near)->not->toBeEmpty();
        foreach ($near as $words) {
            $place = array_search($words, RING, true);
            // Either a neighbour on the ring, or what it becomes when it greys.
            expect($place === false ? 17 : min(abs($place - $own), 18 - abs($place - $own)) % 18)->toBeIn($place === false ? [17] : [1]);
        }
    }
    expect(Family::besides(Lab::ofHex('#8a6a4a')))->toHaveCount(2);
});

it('says how colours differ as someone would who sees both', function () {
    $grey = new Lab(50, 0, 0);
    expect((new Contrast(new Lab(39, 0, 0), $grey))->words())
        ->toBe('a step darker')
        ->and((new Contrast(new Lab(56, 3.1, 8.5), $grey))->words())
        ->toBe('warmer by 9, half a step lighter, stronger')
        ->and((new Contrast(new Lab(50, -1, -6), $grey))->words())
        ->toBe('cooler by 6, stronger')
        ->and((new Contrast(new Lab(51, 1, 1), $grey))->words())
        ->toBe('about the same')
        ->and((new Contrast(new Lab(83, 0, 0), $grey))->words())
        ->toBe('3 steps lighter');
});

it('writes named colours as a palette, CSV and JSON, the lightest first, whatever is in their names', function () {
    $list = new SpotList("Low\nwater", [
        ['name' => '=rust, "dark"', 'lab' => Lab::ofHex('#7a4a2e'), 'nearest' => 'Slipway oil/726', 'deltaE00' => 3.456],
        ['name' => "rope\ttwo", 'lab' => Lab::ofHex('#c9bda0'), 'nearest' => null, 'deltaE00' => null],
    ]);
    $gpl = explode("\n", $list->gpl());
    expect($gpl[0])
        ->toBe('GIMP Palette')
        ->and($gpl[1])
        ->toBe('Name: Low water')
        ->and($gpl[4])
        ->toBe("201 189 160\trope two")
        ->and($gpl[5])
        ->toBe("122  74  46\t=rust, \"dark\"");
    $stream = fopen('php://memory', 'r+');
    fwrite($stream, $list->csv());
    rewind($stream);
    $rows = [];
    while (($row = fgetcsv($stream)) !== false) {
        $rows[] = $row;
    }
    expect($rows)
        ->toHaveCount(3)
        ->and($rows[2][0])
        ->toBe('\'=rust, "dark"')
        ->and($rows[2][1])
        ->toBe('#7a4a2e')
        ->and($rows[2][7])
        ->toBe('Slipway oil/726')
        ->and($rows[1][8])
        ->toBe('');
    $json = json_decode($list->json(), true);
    expect($json['title'])
        ->toBe("Low\nwater")
        ->and($json['spots'][0]['valueStep'])
        ->toBe(7)
        ->and($json['spots'][1]['deltaE00'])
        ->toBe(3.46);
});
