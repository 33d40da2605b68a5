<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Colour\SmoothestReflectance;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\UnreadableText;

it('gives the published difference of every test pair, both ways round', function (float ...$r) {
    [$one, $other] = [new Lab($r[0], $r[1], $r[2]), new Lab($r[3], $r[4], $r[5])];
    expect($one->deltaE00($other))->toEqualWithDelta($r[6], 1e-4)->and($other->deltaE00($one))->toEqualWithDelta($r[6], 1e-4);
})->with(function () {
    $lines = array_slice(file(__DIR__.'/cases/ciede2000-pairs.csv', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES), 1);
    expect($lines)->toHaveCount(34);
    foreach ($lines as $i => $line) {
        yield 'pair '.($i + 1) => array_map(floatval(...), explode(',', $line));
    }
});

it('makes the perfect reflector exactly white', function () {
    $lab = Lab::ofReflectance(array_fill(0, 36, 1.0));
    expect($lab->l)
        ->toEqualWithDelta(100, 1e-9)
        ->and($lab->chroma())
        ->toBeLessThan(1e-9)
        ->and(Srgb::ofXyz(Xyz::ofReflectance(array_fill(0, 36, 1.0)))->hex())
        ->toBe('#ffffff');
});

it('agrees with published figures of single colours', function () {
    // The sRGB primaries in CIELAB (D65) and OKLCh, as widely tabulated.
    $red = Lab::ofHex('#ff0000');
    expect($red->l)
        ->toEqualWithDelta(53.24, 0.02)
        ->and($red->a)
        ->toEqualWithDelta(80.09, 0.05)
        ->and($red->b)
        ->toEqualWithDelta(67.2, 0.05);
    $blue = Oklch::ofLab(Lab::ofHex('#0000ff'));
    expect($blue->lightness)
        ->toEqualWithDelta(0.452, 0.001)
        ->and($blue->chroma)
        ->toEqualWithDelta(0.313, 0.001)
        ->and($blue->hueDegrees)
        ->toEqualWithDelta(264.05, 0.1);
});

it('finds for any screen colour a smooth reflectance inside 0–1 that has that colour', function () {
    mt_srand(20);
    $hexes = ['#000000', '#ffffff', '#ff0000', '#00ff00', '#0000ff', '#ffff00', '#00ffff', '#ff00ff'];
    for ($i = 0; $i < 300; $i++) {
        $hexes[] = sprintf('#%06x', mt_rand(0, 0xFFFFFF));
    }
    $worst = 0.0;
    foreach ($hexes as $hex) {
        $r = SmoothestReflectance::ofHex($hex);
        expect(min($r))->toBeGreaterThan(0.0)->and(max($r))->toBeLessThan(1.0);
        $worst = max($worst, Lab::ofReflectance($r)->deltaE00(Lab::ofHex($hex)));
    }
    expect($worst)->toBeLessThan(0.05);
});

it('finds a flat reflectance for a neutral grey, the smoothest there is', function () {
    $r = SmoothestReflectance::ofHex('#777777');
    expect(max($r) - min($r))->toBeLessThan(0.002);
});

it('refuses what is not a colour and says how one is written', function (string $text) {
    expect(fn () => Srgb::ofHex($text))->toThrow(UnreadableText::class, '#rrggbb');
})->with(['', '#12', 'teal', '#12345g', "#123456\nx"]);

it('counts value steps from the darkest, in equal bands of lightness', function (float $l, int $step) {
    expect((new ValueScale())->stepOf(new Lab($l, 0, 0)))->toBe($step);
})->with([[0, 1], [11, 1], [11.2, 2], [50, 5], [88.8, 8], [88.9, 9], [100, 9], [104, 9]]);

it('names families as people do', function (string $hex, string $words) {
    expect(Family::of(Lab::ofHex($hex))->words())->toBe($words);
})->with([
    ['#ff0000', 'red'],
    ['#ff8c00', 'orange'],
    ['#ffe600', 'yellow'],
    ['#18a018', 'green'],
    ['#2060d0', 'blue'],
    ['#7a2fa8', 'violet'],
    ['#ffffff', 'white'],
    ['#0a0a0a', 'black'],
    ['#808080', 'neutral grey'],
    ['#d23a86', 'red, leaning violet'],
    ['#c8dc28', 'yellow, leaning green'],
    ['#9fd02a', 'green, leaning yellow'],
    ['#1fa8a8', 'green, leaning blue'],
    ['#6e332b', 'brown, leaning red'],
    ['#6b3f24', 'brown'],
    ['#6b5527', 'brown, leaning yellow'],
    ['#4c5030', 'green, leaning yellow'],
]);

it('says in words where a result went', function () {
    $wanted = Lab::ofHex('#8a6f50');
    $lighter = new Comparison(new Lab($wanted->l + 11.2, $wanted->a, $wanted->b), $wanted);
    expect($lighter->words())->toContain('a step too light')->and($lighter->valueError)->toBeGreaterThan(0.9);
    expect((new Comparison(new Lab($wanted->l, $wanted->a - 9, $wanted->b + 2), $wanted))->words())->toContain('leans too yellow');
    expect((new Comparison($wanted, $wanted))->words())->toBe('A match');
});

it('never calls a colour warm in one word and cool in the next', function () {
    for ($hue = 0; $hue < 360; $hue += 7) {
        foreach ([[30, 4], [55, 7], [55, 7.1], [75, 6], [95, 3], [8, 4]] as [$l, $chroma]) {
            $reading = new ColourReading(new Lab($l, $chroma * cos(deg2rad($hue)), $chroma * sin(deg2rad($hue))));
            $words = $reading->family->words();
            expect(str_contains($words, 'cool grey') && $reading->temperature->value === 'warm')
                ->toBeFalse()
                ->and(str_contains($words, 'warm grey') && $reading->temperature->value === 'cool')
                ->toBeFalse();
        }
    }
});

it('reads a colour in one sentence', function () {
    expect((new ColourReading(Lab::ofHex('#c9bda0')))->words())->toBe('value 7 of 9, light, muted yellow, leaning orange');
});
