<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use Tests\Core\Pencils;

// The behaviours that artists know and the model must show; docs/model.md lists them by the same numbers.

/** How far a hue has turned toward green (150°), degrees; negative is away from it. */
function turnToGreen(Lab $from, Lab $to): float
{
    return $to->hueDegrees() > 300 ? $to->hueDegrees() - 360 - $from->hueDegrees() : $to->hueDegrees() - $from->hueDegrees();
}

it('M1: repeated coats approach the heavy swatch and never pass it in darkness', function (string $name) {
    $heavy = Swatch::Heavy->colourOf(Pencils::named($name));
    $sheet = new Sheet(Paper::whiteMedium());
    $before = 100.0;
    for ($coat = 1; $coat <= 10; $coat++) {
        LayPass::onto($sheet, Pencils::named($name), 0.55);
        $l = Lab::ofReflectance($sheet->meanReflectance())->l;
        expect($l)->toBeLessThan($before)->toBeGreaterThan($heavy->l);
        $before = $l;
    }
    expect($before - $heavy->l)->toBeLessThan(6.0);

    // A firm hand comes closest: ten firm coats are the heavy swatch to the eye.
    $firm = Pencils::colour(implode(' ', array_fill(0, 10, "$name@0.80")));
    expect($firm->deltaE00($heavy))
        ->toBeLessThan(1.0)
        ->and($firm->l)
        ->toBeGreaterThan($heavy->l - 0.1);
})->with(['yellow', 'red', 'blue', 'green', 'violet']);

it('M2: a complement over the local colour lowers chroma, and more of it turns the mix to its own hue', function () {
    $red = Pencils::colour('red@0.55');
    $some = Pencils::colour('red@0.55 green@0.35');
    $more = Pencils::colour('red@0.55 green@0.55 green@0.55');
    expect($some->chroma())
        ->toBeLessThan($red->chroma() - 10)
        ->and(abs($more->hueDegrees() - 147))
        ->toBeLessThan(abs($some->hueDegrees() - 147));
});

it('M3: blue over orange slides toward green-grey where violet stays warm', function () {
    $orange = Pencils::colour('orange@0.55');
    foreach (['0.35', '0.55'] as $p) {
        $blue = turnToGreen($orange, Pencils::colour("orange@0.55 blue@$p"));
        $violet = turnToGreen($orange, Pencils::colour("orange@0.55 violet@$p"));
        expect($blue)
            ->toBeGreaterThan(15)
            ->and($violet)
            ->toBeLessThan($blue - 20);
    }
});

it('M4: black over yellow reads green, a warm grey of the same value does not', function () {
    $black = Pencils::colour('yellow@0.55 black@0.35');
    $grey = Pencils::colour('yellow@0.55 dark-warm-grey@0.55');
    expect(abs($black->l - $grey->l))
        ->toBeLessThan(4)
        ->and(Family::of($black)->base)
        ->toBe('green')
        ->and(Family::of($grey)->base)
        ->not->toBe('green');
});

it('M5: violet under green ends darker than as many coats of green alone', function () {
    expect(Pencils::colour('violet@0.55 green@0.55')->l)->toBeLessThan(Pencils::colour('green@0.55 green@0.55')->l - 5);
});

it('M6: white over red goes pastel; yellow over green brightens and keeps more chroma than white does', function () {
    $red = Pencils::colour('red@0.55');
    $pastel = Pencils::colour('red@0.55 white@0.80');
    expect($pastel->chroma())
        ->toBeLessThan(0.75 * $red->chroma())
        ->and(abs($pastel->hueDegrees() - $red->hueDegrees()))
        ->toBeLessThan(10);

    $green = Pencils::colour('green@0.55');
    $yellow = Pencils::colour('green@0.55 yellow@0.55');
    $white = Pencils::colour('green@0.55 white@0.55');
    expect($yellow->l)
        ->toBeGreaterThan($green->l)
        ->and($yellow->chroma())
        ->toBeGreaterThan($white->chroma() + 10);
});

it('M7: a translucent white lightens less than an opaque one', function () {
    $dark = Pencils::colour('blue@0.80')->l;
    $translucent = Pencils::colour('blue@0.80 white@0.80')->l;
    expect($translucent)
        ->toBeGreaterThan($dark)
        ->and(Pencils::colour('blue@0.80 opaque-white@0.80')->l)
        ->toBeGreaterThan($translucent + 5);
});

it('M8: order matters', function () {
    expect(Pencils::colour('violet@0.55 yellow@0.55')->deltaE00(Pencils::colour('yellow@0.55 violet@0.55')))->toBeGreaterThan(3.0);
});

it('M9: light coats leave flecks; solvent or burnishing makes the strata alike, darker and cleaner', function (string $finish) {
    $spread = function (string $stack): float {
        $l = array_map(static fn (array $r): float => Lab::ofReflectance($r)->l, Pencils::sheet($stack)->strata());

        return max($l) - min($l);
    };
    $coats = 'blue@0.35 blue@0.35';
    expect($spread($coats))
        ->toBeGreaterThan(30)
        ->and($spread("$coats $finish"))
        ->toBeLessThan(0.75 * $spread($coats))
        ->and(Pencils::colour("$coats $finish")->l)
        ->toBeLessThan(Pencils::colour($coats)->l)
        ->and(Pencils::colour("$coats $finish")->chroma())
        ->toBeGreaterThan(Pencils::colour($coats)->chroma());
})->with(['solvent', 'blender']);

it('M10: two burnishing coats spend the tooth, ten ordinary ones do not', function () {
    $film = static fn (Sheet $sheet, float $p): float => array_sum(LayPass::laidFilm($sheet, 1.0, $p));
    $paper = Paper::whiteMedium();
    $burnished = Pencils::sheet('red@1.00 red@1.00');
    foreach ([0.35, 0.55, 0.8, 1.0] as $p) {
        expect($film($burnished, $p))->toBeLessThan(0.25 * $film(new Sheet($paper), $p));
    }
    foreach ([0.3, 0.4, 0.5] as $p) {
        $sheet = new Sheet($paper);
        for ($coat = 0; $coat < 9; $coat++) {
            LayPass::onto($sheet, Pencils::named('red'), $p);
        }
        expect($film($sheet, $p))->toBeGreaterThan(0.02 * $film(new Sheet($paper), $p));
    }
});

it('M11: a grey of pale blue and pale magenta under yellow still reads yellow', function () {
    expect(Family::of(Pencils::colour('pale-blue@0.55 pale-magenta@0.55 yellow@0.55'))->base)->toBe('yellow');
});

it('M12: on toned paper white, paper and black run evenly, and black over white is hard to steer', function () {
    $grey = PaperShelf::named('warm grey');
    $bare = Lab::ofReflectance($grey->reflectance)->l;
    $white = Pencils::colour('opaque-white@0.80', $grey)->l;
    $black = Pencils::colour('black@0.55', $grey)->l;
    expect($white)
        ->toBeGreaterThan($bare + 8)
        ->and($black)
        ->toBeLessThan($bare - 8);

    $swing = static fn (string $s): float => Steadiness::of(Pencils::stack($s), $grey);
    $blackOverWhite = $swing('opaque-white@0.55 black@0.35');
    foreach (
        ['opaque-white@0.55', 'opaque-white@0.55 opaque-white@0.55', 'black@0.35 black@0.35', 'black@0.35 opaque-white@0.55'] as $other
    ) {
        expect($swing($other))->toBeLessThan($blackOverWhite);
    }
});
