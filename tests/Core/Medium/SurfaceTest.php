<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Grain;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use Tests\Core\Pencils;

it('touches only the peaks with a light hand and reaches the valleys with a full one', function () {
    $whisper = LayPass::laidFilm(new Sheet(Paper::whiteMedium()), 1.0, 0.2);
    $full = LayPass::laidFilm(new Sheet(Paper::whiteMedium()), 1.0, 1.0);
    expect($whisper[5])
        ->toBeLessThan(0.01 * $whisper[0])
        ->and($full[5])
        ->toBeGreaterThan(0.5 * $full[0]);
});

it('leaves fewer flecks on smooth paper than on medium, and hardly any on film', function () {
    $liveliness = static fn (string $paper): float => LaidStack::of(
        Pencils::stack('blue@0.35 blue@0.35'),
        PaperShelf::named($paper),
    )->liveliness();
    expect($liveliness('white smooth'))
        ->toBeLessThan(0.8 * $liveliness('white medium'))
        ->and($liveliness('drafting film'))
        ->toBeLessThan(0.3 * $liveliness('white medium'));
});

it('fills a film sooner than paper', function () {
    $used = static fn (string $paper): float => Pencils::sheet('red@0.55 red@0.55', PaperShelf::named($paper))->toothUsed();
    expect($used('drafting film'))
        ->toBeGreaterThan($used('white smooth'))
        ->and($used('white smooth'))
        ->toBeGreaterThan($used('white medium'));
});

it('shows every paper bare as it is', function (string $name) {
    $paper = PaperShelf::named($name);
    expect(Lab::ofReflectance((new Sheet($paper))->meanReflectance())->deltaE00(Lab::ofHex($paper->hex)))
        ->toBeLessThan(0.05)
        ->and((new Sheet($paper))->toothUsed())
        ->toEqualWithDelta(0.0, 1e-12);
})->with(PaperShelf::names());

it('forgives hyphens and capitals in a paper\'s name, and lists the names for a wrong one', function () {
    expect(PaperShelf::named(' Warm-Grey ')->hex)->toBe(PaperShelf::named('warm grey')->hex);
    expect(fn () => PaperShelf::named('vellum'))->toThrow(
        UnreadableText::class,
        'white medium, white smooth, warm grey, black, drafting film',
    );
});

it('refuses a tooth that no paper has', function (float $roughness, float $capacity) {
    expect(fn () => new Tooth($roughness, $capacity))->toThrow(OutOfRange::class);
})->with([[-0.1, 3.0], [3.1, 3.0], [1.0, 0.1], [1.0, 11.0], [NAN, 3.0]]);

it('refuses the next pass on a slick surface more than on a matt one', function () {
    $matt = Pencils::sheet('red@0.55');
    $slick = clone $matt;
    $slick->slick = array_fill(0, Tooth::STRATA, 0.5);
    $film = static fn (Sheet $s): float => array_sum(LayPass::laidFilm($s, 1.0, 0.35));
    expect($film($slick))->toEqualWithDelta(($film($matt) * 0.5) / (1 - $matt->slick[0]), 0.2 * $film($matt));
});

it('changes nothing when a finish meets bare paper', function (Finish $finish) {
    $sheet = new Sheet(Paper::whiteMedium());
    $before = $sheet->reflectance;
    $finish->applyTo($sheet);
    foreach ($sheet->reflectance as $i => $r) {
        expect($r)->toEqualWithDelta($before[$i], 1e-12);
    }
})->with(Finish::cases());

it('brings up under solvent what lay beneath', function () {
    $layered = Pencils::colour('violet@0.55 yellow@0.55');
    $dissolved = Pencils::colour('violet@0.55 yellow@0.55 solvent');
    expect($dissolved->deltaE00(Pencils::colour('violet@0.55 solvent')))
        ->toBeLessThan($layered->deltaE00(Pencils::colour('violet@0.55')))
        ->and($dissolved->b)
        ->toBeLessThan($layered->b - 5);
});

it('lightens with the eraser and can be drawn on again', function () {
    $before = Pencils::sheet('blue@0.35 blue@0.35');
    $lifted = Pencils::sheet('blue@0.35 blue@0.35 lift');
    expect(Lab::ofReflectance($lifted->meanReflectance())->l)
        ->toBeGreaterThan(Lab::ofReflectance($before->meanReflectance())->l)
        ->and($lifted->toothUsed())
        ->toBeLessThan($before->toothUsed());
    LayPass::onto($lifted, Pencils::named('blue'), 0.35);
    expect(Lab::ofReflectance($lifted->meanReflectance())->l)->toBeLessThan(Lab::ofReflectance($before->meanReflectance())->l + 3);
});

it('tries a stack on a clone without touching the original', function () {
    $sheet = Pencils::sheet('red@0.55');
    $before = [$sheet->reflectance, $sheet->fill, count($sheet->deposits)];
    $copy = clone $sheet;
    Stack::apply(Pencils::stack('blue@0.80')->steps[0], $copy);
    Stack::apply(Solvent::it(), $copy);
    expect([$sheet->reflectance, $sheet->fill, count($sheet->deposits)])->toBe($before);
});

it('knows five pressures, each with a word, a figure and its strokes', function () {
    expect(Pressure::shares())
        ->toBe([0.2, 0.35, 0.55, 0.8, 1.0])
        ->and(array_map(static fn (Pressure $m): int => $m->strokes(), Pressure::cases()))
        ->toBe([1, 2, 3, 4, 5])
        ->and(Pressure::nearest(0.5))
        ->toBe(Pressure::Medium)
        ->and(Pressure::nearest(0.9))
        ->toBe(Pressure::Firm);
});

it('makes a grain that shows every stratum on an equal area, in patches and not in dust', function () {
    $tile = Grain::tile();
    $side = Grain::SIDE;
    expect($tile)->toHaveCount($side * $side);
    foreach (array_count_values($tile) as $count) {
        expect($count)->toBe(intdiv($side * $side, Tooth::STRATA));
    }
    $alike = 0;
    foreach ($tile as $at => $stratum) {
        // The neighbour across the seam counts like any other.
        $right = intdiv($at, $side) * $side + (($at + 1) % $side);
        $alike += abs($stratum - $tile[$right]) <= 1 ? 1 : 0;
    }
    // By chance 44 % of neighbours would be so near.
    expect($alike / count($tile))->toBeGreaterThan(0.6);
});

it('shows flecks in a dab whose mean is the predicted colour, light and firm', function () {
    foreach (['red@0.20', 'blue@0.55', 'yellow@0.35 black@0.20', 'green@1.00 white@1.00', 'violet@0.35 orange@0.80'] as $stack) {
        $sheet = Pencils::stack($stack)->on(Paper::whiteMedium());
        $linear = array_map(
            static fn (string $hex): array => array_map(
                static fn (string $two): float => Srgb::decode(hexdec($two) / 255),
                str_split(ltrim($hex, '#'), 2),
            ),
            array_map(static fn (array $l): string => Srgb::ofLinear($l)->hex(), $sheet->flecks()),
        );
        $mean = Srgb::ofBytes(
            ...array_map(static fn (int $c): float => 255 * Srgb::encode(array_sum(array_column($linear, $c)) / Tooth::STRATA), [0, 1, 2]),
        )->lab();
        // Where a fleck is beyond what a screen can show it is what the screen can.
        expect($mean->deltaE00(Lab::ofHex(Srgb::ofXyz($sheet->xyz())->hex())))->toBeLessThan(0.5, $stack);
    }
});

it('shows a blue that no screen can show as the nearest blue, and not as a pink', function () {
    $blue = PencilFit::of(new PencilRecord('', '661', '', '#004bae', Binder::Oil));
    foreach ([0.35, 0.55, 0.8, 1.0] as $pressure) {
        $sheet = (new Stack([new Pass($blue, $pressure)]))->on(Paper::whiteMedium());
        foreach ($sheet->flecks() as [$red, , $b]) {
            expect($red)->toBeLessThan($b);
        }
    }
});

it('looks after every step as it is laid, on bare paper too', function () {
    $laid = LaidStack::of(Pencils::stack('violet@0.35 green@0.55 solvent yellow@0.55'), Paper::whiteMedium());
    $looks = $laid->looks();
    expect($looks)
        ->toHaveCount(4)
        ->and($laid->lab(4)->toArray())
        ->toBe($looks[3]->lab->toArray())
        ->and($looks[0]->strataHex)
        ->toHaveCount(Tooth::STRATA)
        ->and($looks[1]->toothUsed)
        ->toBeGreaterThan($looks[0]->toothUsed)
        ->and($looks[2]->toothUsed)
        ->toBeLessThan($looks[1]->toothUsed)
        ->and(LaidStack::of(new Stack([]), Paper::whiteMedium())->looks())
        ->toBe([]);
});

it('tells a mid grey of a whisper of black over white from one of many light coats: pepper, and even', function () {
    $on = static fn (string $stack): Sheet => Pencils::stack($stack)->on(Paper::whiteMedium());
    expect((new Sheet(Paper::whiteMedium()))->grain())->toBeLessThan(1e-4);
    // As it is defined: the standard deviation of L* over what the strata look like.
    $sheet = $on('green@0.35 red@0.20');
    $l = array_map(static fn (array $r): float => Lab::ofReflectance($r)->l, $sheet->strata());
    $mean = array_sum($l) / count($l);
    expect($sheet->grain())->toEqualWithDelta(
        sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $l)) / count($l)),
        1e-6,
    );
    [$pepper, $coats] = [$on('black@0.20'), $on('green@0.20 green@0.20 green@0.20 green@0.20')];
    expect($pepper->grain())
        ->toBeGreaterThan(15.0)
        ->and($coats->grain())
        ->toBeLessThan(0.8 * $pepper->grain());
    // A coat more of the same, a finish that joins the marks, and a mid tone beneath the dark all make it more even.
    expect($on('black@0.35 black@0.35 black@0.35')->grain())
        ->toBeLessThan($on('black@0.35')->grain())
        ->and($on('green@0.35 green@0.35 solvent')->grain())
        ->toBeLessThan(0.75 * $on('green@0.35 green@0.35')->grain())
        ->and($on('green@0.55 green@0.55 black@0.20')->grain())
        ->toBeLessThan($pepper->grain());
});
