<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\Ground;
use KnottyPrism\Core\Recipe\SequenceSearch\Kit;
use KnottyPrism\Core\Recipe\SequenceSearch\Run;
use KnottyPrism\Core\Recipe\SequenceSearch\ShadeAim;
use KnottyPrism\Core\Recipe\SequenceSearch\Touches;

it('works a touch into a run without changing what the run does elsewhere, and nearer than the run alone would', function () {
    $kit = kitOf('yellow', 'red', 'blue', 'green', 'dark warm grey', 'pale blue');
    $run = [new Shade('light', new Lab(74, 6, 26), 0.4), new Shade('dark', new Lab(35, 6, 16), 0.5)];
    $shades = [...$run, new Shade('rust', new Lab(45, 45, 35), 0.1, true)];
    $ground = groundOf($kit, $run, 4);
    // The craft is that of all shades, the touch among them.
    $whole = groundOf($kit, $shades, 4);
    $aim = new ShadeAim($shades[2], $kit->atlas, $kit->book, Mode::ColourAndValue, $whole->craft->rules[2]);
    $withTouch = new Ground($ground->book, $ground->outlook, $whole->craft, $ground->prices, $ground->aims, 4, 1.0);
    $before = (new Run())->with(0, [2, 3])->with(4, [0, 3]);
    $after = (new Touches($withTouch, $aim, 2, 0.1))->into($before);
    foreach ($before->pressures as $at => $pressures) {
        expect(array_slice($after->pressures[$at], 0, 2))->toBe($pressures)->and($after->pencils[$at])->toBe($before->pencils[$at]);
    }
    foreach (array_slice($after->pressures, 2) as $own) {
        expect(array_slice($own, 0, 2))
            ->toBe([0, 0])
            ->and($own[2])
            ->toBeGreaterThan(0);
    }
    $laidBy = static fn (Run $r, int $shade): array => array_values(
        array_filter(
            array_map(
                static fn (int $p, array $m): int => ($m[$shade] ?? 0) > 0 ? $p * Moves::PRESSURES + $m[$shade] - 1 : -1,
                $r->pencils,
                $r->pressures,
            ),
            static fn (int $m): bool => $m >= 0,
        ),
    );
    $alone = $aim->judge($kit->book->lay($laidBy($before, 1)))->error();
    expect($aim->judge($kit->book->lay($laidBy($after, 2)))->error())->toBeLessThan(0.7 * $alone);
});

it('lays no warm base beneath a near black line, and draws it in the black', function () {
    $all = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../../../demo/drawer.csv'))->pencils;
    $pencils = array_map(
        static fn (string $number): Pencil => array_values(
            array_filter($all, static fn (Pencil $p): bool => str_ends_with($p->id(), "/$number")),
        )[0],
        ['703', '726', '735', '745'],
    );
    $moves = new Moves(new Drawer($pencils), Paper::whiteMedium());
    $kit = new Kit($moves, Atlas::of($moves));
    // The evening's ground of the demo, and the near black lines in it.
    $shades = [
        new Shade('light', new Lab(55.4, 6.1, 20.3), 0.23),
        new Shade('mid', new Lab(47.0, 4.3, 18.4), 0.47),
        new Shade('dark', new Lab(39.5, 2.2, 17.2), 0.19),
        new Shade('touch', new Lab(26.5, 1.3, 3.3), 0.09, true, grainCounts: Surface::Rough->grainCounts()),
    ];
    $ground = groundOf($kit, array_slice($shades, 0, 3), 6);
    $whole = groundOf($kit, $shades, 6);
    $aim = new ShadeAim($shades[3], $kit->atlas, $kit->book, Mode::ColourAndValue, $whole->craft->rules[3]);
    $run = new Run([0, 1, 2, 1], [[1, 3, 3], [1, 3, 4], [4, 5, 5], [1, 0, 0]]);
    $with = (new Touches(
        new Ground($ground->book, $ground->outlook, $whole->craft, $ground->prices, $ground->aims, 6, 0.98),
        $aim,
        3,
        0.09,
    ))->into($run);
    $laid = $kit->book->lay($with->movesIn(3));
    expect($aim->judge($laid)->missed)
        ->toBeLessThan(6.0)
        ->and([$with->pressures[0][3], $with->pressures[1][3]])
        ->toBe([0, 0])
        ->and(array_slice($with->pencils, 4))
        ->toBe([3]);
});
