<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;
use KnottyPrism\Core\Photo\Reading\PhotoComparison;
use KnottyPrism\Core\Photo\Viewing\DrawingFrame;
use KnottyPrism\Core\Photo\Viewing\Picture;
use KnottyPrism\Core\Photo\Viewing\Push;
use KnottyPrism\Core\Photo\Viewing\Squint;
use KnottyPrism\Core\Photo\Viewing\Tone;
use KnottyPrism\Core\Photo\Viewing\WayOfLooking;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** A photo by what is at each pixel. */
function windowOf(int $width, int $height, Closure $hexAt): PixelWindow
{
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $bytes .= pack('C3', ...(array) sscanf($hexAt($x, $y), '#%02x%02x%02x'));
        }
    }

    return new PixelWindow($width, $height, $bytes);
}

/** L* at a pixel of what is shown, and whether it has colour. */
function shownAt(Picture $picture, int $x, int $y): Lab
{
    $at = $picture->channels * ($y * $picture->width + $x);
    $rgb = array_map(static fn (int $c): int => ord($picture->bytes[$at + ($picture->channels === 1 ? 0 : $c)]), [0, 1, 2]);

    return Lab::ofHex(vsprintf('#%02x%02x%02x', $rgb));
}

it('leaves only value of a colour when looked at in grey, and the middle of its step when looked at in steps', function (string $hex) {
    $photo = windowOf(8, 4, static fn (): string => $hex);
    $lab = Lab::ofHex($hex);
    $grey = shownAt((new WayOfLooking(Tone::Grey))->at($photo), 3, 2);
    expect($grey->l)->toEqualWithDelta($lab->l, 0.45)->and($grey->chroma())->toBeLessThan(0.02);
    foreach ([5, 9, 10] as $steps) {
        foreach ([false, true] as $fromLightest) {
            $scale = new ValueScale($steps, $fromLightest);
            $shown = shownAt((new WayOfLooking(Tone::Steps, $scale))->at($photo), 0, 0);
            expect($scale->stepOf($shown))
                ->toBe($scale->stepOf($lab))
                ->and($shown->l)
                ->toEqualWithDelta($scale->middleOf($scale->stepOf($lab)), 0.3);
        }
    }
})->with(['#c9bda0', '#7a3b1e', '#20304a', '#f4f4f0', '#5f8f86', '#000000', '#ffffff']);

it('counts values from either end, and says how much of the picture each takes', function () {
    $photo = windowOf(40, 10, static fn (int $x): string => $x < 10 ? '#101010' : ($x < 30 ? '#777777' : '#f5f5f5'));
    $dark = (new WayOfLooking())->shares($photo);
    $light = (new WayOfLooking(scale: new ValueScale(9, true)))->shares($photo);
    expect($dark[1])
        ->toEqualWithDelta(0.25, 1e-9)
        ->and($dark[5])
        ->toEqualWithDelta(0.5, 1e-9)
        ->and($dark[9])
        ->toEqualWithDelta(0.25, 1e-9)
        ->and(array_sum($dark))
        ->toEqualWithDelta(1.0, 1e-9)
        ->and(array_reverse(array_values($light)))
        ->toBe(array_values($dark));
});

it('shows one value alone in its own colours and everything else as one flat grey', function () {
    $photo = windowOf(40, 10, static fn (int $x): string => $x < 20 ? '#b8442c' : '#dfe8ee');
    $alone = (new WayOfLooking(only: (new ValueScale())->stepOf(Lab::ofHex('#b8442c'))))->at($photo);
    expect(shownAt($alone, 5, 5)->deltaE00(Lab::ofHex('#b8442c')))
        ->toBeLessThan(0.01)
        ->and(shownAt($alone, 30, 5)->l)
        ->toEqualWithDelta(62, 0.5)
        ->and(shownAt($alone, 30, 5)->chroma())
        ->toBeLessThan(0.1);
    $inGrey = (new WayOfLooking(Tone::Grey, only: 9))->at($photo);
    expect($inGrey->channels)
        ->toBe(1)
        ->and(shownAt($inGrey, 5, 5)->l)
        ->toEqualWithDelta(62, 0.5)
        ->and(shownAt($inGrey, 30, 5)->l)
        ->toBeGreaterThan(88);
    expect(fn () => new WayOfLooking(only: 10))->toBeRefused('between 1 and 9');
});

it('squints texture away and keeps masses and their light, harder squints more', function () {
    // Fine stripes on the left, one step of value in the middle of the right half.
    $photo = windowOf(
        200,
        120,
        static fn (int $x, int $y): string => $x < 100 ? ($x % 2 === 0 ? '#202020' : '#e0e0e0') : ($y < 60 ? '#404040' : '#c0c0c0'),
    );
    $texture = $edge = [];
    foreach (Squint::cases() as $squint) {
        $seen = $squint->of($photo);
        $at = static fn (int $x, int $y): float => Srgb::decode(ord($seen->bytes[3 * ($y * 200 + $x)]) / 255);
        $texture[] = abs($at(40, 60) - $at(41, 60));
        $edge[] = $at(160, 64) - $at(160, 56);
        // The light of the stripes is kept: the mean of what they were.
        expect(($at(40, 60) + $at(41, 60)) / 2)
            ->toEqualWithDelta((Srgb::decode(0x20 / 255) + Srgb::decode(0xE0 / 255)) / 2, 0.02)
            ->and($at(190, 5))
            ->toEqualWithDelta(Srgb::decode(0x40 / 255), 0.01);
    }
    // A slight squint reaches one pixel of a picture this small, so some stripe is left of it.
    expect(max($texture))->toBeLessThan(0.09)->and($edge[0])->toBeGreaterThan($edge[1])->and($edge[1])->toBeGreaterThan($edge[2]);
});

it('makes what was pointed at neutral, keeps its lightness, and turns everything else with it', function () {
    $warm = Lab::ofHex('#f2dcb4');
    $balance = new NeutralBalance($warm);
    $white = $balance->lab($warm);
    expect($white->chroma())
        ->toBeLessThan(0.3)
        ->and($white->l)
        ->toEqualWithDelta($warm->l, 0.3)
        ->and($balance->lab(Lab::ofHex('#808080'))->b)
        ->toBeLessThan(-6);
    $photo = windowOf(20, 10, static fn (int $x): string => $x < 10 ? '#f2dcb4' : '#7a6a58');
    $applied = $balance->applied($photo);
    foreach ([[2, '#f2dcb4'], [15, '#7a6a58']] as [$x, $hex]) {
        $shown = Lab::ofHex(vsprintf('#%02x%02x%02x', array_map(static fn (int $c): int => ord($applied->bytes[3 * $x + $c]), [0, 1, 2])));
        expect($shown->deltaE00($balance->lab(Lab::ofHex($hex))))->toBeLessThan(0.7);
    }
    expect(fn () => new NeutralBalance(Lab::ofHex('#c03020')))
        ->toBeRefused('point at something white or grey')
        ->and(fn () => new NeutralBalance(Lab::ofHex('#080808')))
        ->toBeRefused('point at something lighter');
});

it('tries a zone darker without touching the photo around it', function () {
    $photo = windowOf(40, 20, static fn (): string => '#9a9a9a');
    $sheet = new ZoneSheet(new LabelGrid(4, 2, "\1\1\2\2\1\1\2\2"), [1 => new ZoneNote('left'), 2 => new ZoneNote('right')]);
    $tried = (new WayOfLooking())->at($photo, new Push($sheet, 2, -100 / 9));
    expect(shownAt($tried, 5, 5)->l - shownAt($tried, 35, 5)->l)
        ->toEqualWithDelta(100 / 9, 0.6)
        ->and(shownAt($tried, 5, 5)->l)
        ->toEqualWithDelta(Lab::ofHex('#9a9a9a')->l, 0.45);
});

it('says in words how two photos of one scene differ', function () {
    $scene = static fn (float $warm, float $shadows): PixelGrid => PixelGrid::ofSrgb(
        20,
        20,
        (static function () use ($warm, $shadows): string {
            $bytes = '';
            for ($i = 0; $i < 400; $i++) {
                $l = $i < 100 ? 30 + $shadows : ($i < 300 ? 55 : 85);
                $bytes .= pack(
                    'C3',
                    ...(array) sscanf(Srgb::ofXyz((new Lab($l, $warm * 0.34, $warm * 0.94))->xyz())->hex(), '#%02x%02x%02x'),
                );
            }

            return $bytes;
        })(),
    );
    $morning = $scene(0, 0);
    expect((new PhotoComparison($scene(9, -11), $morning))->sentence('The evening one'))
        ->toBe('The evening one is warmer by 9 and a step darker in the shadows.')
        ->and((new PhotoComparison($morning, $scene(9, -11)))->sentence('The morning one'))
        ->toBe('The morning one is cooler by 9 and a step lighter in the shadows.')
        ->and((new PhotoComparison($morning, $morning))->sentence('This one'))
        ->toBe('This one looks about the same.');
});

it('cuts a photo to the shape of the drawing and rules squares in its millimetres', function () {
    // A 4:3 photo on a paper of 300 × 200: a ninth of the height goes, half of it above.
    $frame = new DrawingFrame(4 / 3, 300, 200);
    expect([$frame->left, $frame->top, $frame->width, $frame->height])->toEqualWithDelta([0, 1 / 18, 1, 8 / 9], 1e-9);
    [$across, $down] = [$frame->grid(50)->across, $frame->grid(50)->down];
    expect($across)
        ->toHaveCount(5)
        ->and($across[0])
        ->toEqualWithDelta(1 / 6, 1e-9)
        ->and($down)
        ->toHaveCount(3)
        ->and($down[1])
        ->toEqualWithDelta(0.5, 1e-9);
    // An upright paper takes the sides away, and its cut can be moved.
    $upright = new DrawingFrame(4 / 3, 150, 200, 1.0);
    expect($upright->height)
        ->toBe(1.0)
        ->and($upright->left + $upright->width)
        ->toEqualWithDelta(1.0, 1e-9)
        ->and($upright->width)
        ->toEqualWithDelta(9 / 16, 1e-9);
    expect(fn () => $frame->grid(0.5))
        ->toBeRefused('square')
        ->and(fn () => new DrawingFrame(1, 5, 200))
        ->toBeRefused('between 20 and 3000 mm');
});
