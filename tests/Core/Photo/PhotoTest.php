<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Reading\Spot;

/**
 * A window painted by a rule.
 *
 * @param  callable(int, int): string  $hexAt
 */
function painted(int $side, callable $hexAt): PixelWindow
{
    $bytes = '';
    for ($y = 0; $y < $side; $y++) {
        for ($x = 0; $x < $side; $x++) {
            $bytes .= hex2bin(substr($hexAt($x, $y), 1));
        }
    }

    return new PixelWindow($side, $side, $bytes);
}

it('reads a flat colour as it is', function (string $hex) {
    $spot = Spot::inRing(painted(15, fn () => $hex), 7, 7, 6);
    expect($spot->lab->deltaE00(Lab::ofHex($hex)))->toBeLessThan(0.01)->and($spot->spread)->toBeLessThan(0.01);
})->with(['#000000', '#ffffff', '#7a4a2e', '#00a0ff']);

it('means in linear light, as a lens would blur it, not in the stored numbers', function () {
    $board = painted(41, fn (int $x, int $y): string => ($x + $y) % 2 === 0 ? '#000000' : '#ffffff');
    // Half the light of white is sRGB 188, not 128; the trimmed tenths take as much from both ends.
    expect(Spot::inRing($board, 20, 20, 18)->lab->l)->toEqualWithDelta(Lab::ofHex('#bcbcbc')->l, 1.0);
});

it('does not count a glint or a speck', function () {
    $glints = painted(31, fn (int $x, int $y): string => $x % 6 === 0 && $y % 2 === 0 ? '#ffffff' : '#4a6178');
    expect(Spot::inRing($glints, 15, 15, 14)->lab->deltaE00(Lab::ofHex('#4a6178')))->toBeLessThan(0.5);
});

it('looks only inside the ring', function () {
    $disc = painted(31, fn (int $x, int $y): string => hypot($x - 15, $y - 15) <= 8.5 ? '#a0522d' : '#00ff00');
    expect(Spot::inRing($disc, 15, 15, 8)->lab->deltaE00(Lab::ofHex('#a0522d')))->toBeLessThan(0.01)
        ->and(Spot::inRing($disc, 15, 15, 13)->lab->deltaE00(Lab::ofHex('#a0522d')))->toBeGreaterThan(10);
});

it('reads the pixel itself with a ring of nothing, and a ring cut by the edge', function () {
    $window = painted(9, fn (int $x): string => $x === 0 ? '#123456' : '#fedcba');
    expect(Spot::inRing($window, 0, 4, 0)->lab->deltaE00(Lab::ofHex('#123456')))->toBeLessThan(0.01)
        ->and(Spot::inRing($window, 8, 0, 5)->lab->deltaE00(Lab::ofHex('#fedcba')))->toBeLessThan(0.01);
});

it('says how mixed a ring is', function () {
    $edge = painted(21, fn (int $x): string => $x < 10 ? '#303030' : '#d0d0d0');
    expect(Spot::inRing($edge, 10, 10, 8)->spread)->toBeGreaterThan(20)
        ->and(Spot::inRing($edge, 4, 10, 4)->spread)->toBeLessThan(0.01);
});

it('refuses bytes that do not fill the window', function () {
    expect(fn () => new PixelWindow(4, 4, str_repeat("\0", 47)))->toThrow(OutOfRange::class, 'bytes');
});
