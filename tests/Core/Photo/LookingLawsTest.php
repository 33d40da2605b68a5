<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Grid\Raster;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;
use KnottyPrism\Core\Photo\Viewing\Squint;
use KnottyPrism\Core\Photo\Viewing\Tone;
use KnottyPrism\Core\Photo\Viewing\ValuePlane;
use KnottyPrism\Core\Photo\Viewing\WayOfLooking;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** Noise of every colour. */
function noise(int $width, int $height, int $seed): PixelWindow
{
    mt_srand($seed);
    $bytes = '';
    for ($i = 0; $i < 3 * $width * $height; $i++) {
        $bytes .= chr(mt_rand(0, 255));
    }

    return new PixelWindow($width, $height, $bytes);
}

/** A sheet of blobs: so many seeds, every pixel to the nearest. */
function blobs(int $count, int $width, int $height, int $seed): ZoneSheet
{
    mt_srand($seed);
    $seeds = array_map(static fn (): array => [mt_rand(0, $width - 1), mt_rand(0, $height - 1)], range(1, $count));
    $labels = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $apart = array_map(static fn (array $s): int => ($s[0] - $x) ** 2 + ($s[1] - $y) ** 2, $seeds);
            $labels .= chr(1 + (int) array_search(min($apart), $apart, true));
        }
    }
    $present = array_values(unpack('C*', count_chars($labels, 3)) ?: []);

    return new ZoneSheet(
        new LabelGrid($width, $height, $labels),
        array_combine($present, array_map(static fn (int $n): ZoneNote => new ZoneNote("zone $n"), $present)),
    );
}

it('divides every picture among its steps without rest, on any scale, from either end', function (int $seed) {
    $photo = noise(37, 23, $seed);
    foreach ([5, 9, 10] as $steps) {
        foreach ([false, true] as $fromLightest) {
            $scale = new ValueScale($steps, $fromLightest);
            $plane = ValuePlane::of($photo);
            $shares = $plane->shares($scale);
            expect(array_sum($shares))->toEqualWithDelta(1.0, 1e-9);
            foreach ($shares as $step => $share) {
                // What is shown alone is just what is counted.
                expect(substr_count($plane->maskOf($scale, $step), "\xFF") / (37 * 23))->toEqualWithDelta($share, 1e-9);
            }
        }
    }
})->with([1, 2, 3]);

it('reads a value from a byte as near as a byte can be', function () {
    $photo = noise(40, 40, 5);
    $plane = ValuePlane::of($photo);
    for ($i = 0; $i < 1600; $i += 7) {
        $lab = Lab::ofHex(vsprintf('#%02x%02x%02x', array_map(static fn (int $c): int => ord($photo->bytes[3 * $i + $c]), [0, 1, 2])));
        expect(ord($plane->bytes[$i]) / 2.55)->toEqualWithDelta($lab->l, 0.45);
    }
});

it('keeps size and light through every combination of ways, on pictures of any shape', function (int $width, int $height) {
    $photo = noise($width, $height, 9);
    $light = static fn (PixelWindow $p): float => array_sum(
        array_map(
            static fn (int $b): float => KnottyPrism\Core\Colour\Srgb::decode($b / 255),
            array_values(unpack('C*', $p->bytes) ?: []),
        ),
    ) / strlen($p->bytes);
    foreach ([null, ...Squint::cases()] as $squint) {
        $seen = (new WayOfLooking(squint: $squint))->seen($photo);
        expect([$seen->width, $seen->height])
            ->toBe([$width, $height])
            ->and($light($seen))
            ->toEqualWithDelta($light($photo), 0.05);
        foreach (Tone::cases() as $tone) {
            foreach ([null, 5] as $only) {
                $picture = (new WayOfLooking($tone, only: $only, squint: $squint))->at($photo);
                expect(strlen($picture->bytes))
                    ->toBe($width * $height * $picture->channels)
                    ->and($picture->channels)
                    ->toBe($tone === Tone::Colour ? 3 : 1);
            }
        }
    }
})->with([[64, 48], [7, 211], [211, 7], [1, 1]]);

it('moves only what it is told to move, and never beyond black and white', function () {
    $plane = ValuePlane::of(noise(20, 20, 2));
    $mask = str_repeat("\xFF\0", 200);
    foreach ([-300.0, -11.1, 11.1, 300.0] as $by) {
        $moved = $plane->moved($mask, $by);
        for ($i = 0; $i < 400; $i++) {
            $expected = $mask[$i] === "\0" ? ord($plane->bytes[$i]) : max(0, min(255, ord($plane->bytes[$i]) + (int) round(2.55 * $by)));
            expect(ord($moved->bytes[$i]))->toBe($expected);
        }
    }
});

it('leaves greys alone where a grey was pointed at, and undoes any ordinary light on a grey card', function () {
    $grey = new NeutralBalance(Lab::ofHex('#8c8c8c'));
    foreach (['#c9bda0', '#20304a', '#b8442c'] as $hex) {
        expect($grey->lab(Lab::ofHex($hex))->deltaE00(Lab::ofHex($hex)))->toBeLessThan(0.05);
    }
    foreach (['#f2dcb4', '#c8d4ee', '#e6d8da', '#9aa08a'] as $light) {
        $balance = new NeutralBalance(Lab::ofHex($light));
        expect($balance->lab(Lab::ofHex($light))->chroma())->toBeLessThan(0.4);
        // A darker grey card in the same light: the same cast at a third of the luminance.
        $xyz = Lab::ofHex($light)->xyz();
        $darker = Lab::ofXyz(new KnottyPrism\Core\Colour\Xyz($xyz->x / 3, $xyz->y / 3, $xyz->z / 3));
        expect($balance->lab($darker)->chroma())->toBeLessThan(0.4);
    }
});

it('draws outlines that hold each zone\'s area, and borders that are the same from both sides', function (int $seed) {
    $sheet = blobs(9, 64, 48, $seed);
    $outlines = new Outlines($sheet->labels);
    foreach ($sheet->pixels() as $zone => $pixels) {
        $area = 0.0;
        foreach ($outlines->of($zone) as $line) {
            $points = array_chunk($line, 2);
            foreach ($points as $i => [$x, $y]) {
                [$u, $v] = $points[($i + 1) % count($points)];
                $area += (($x * $v - $u * $y) * 64 * 48) / 2;
            }
        }
        expect(abs($area))->toEqualWithDelta(count($pixels), 4 + 0.12 * count($pixels));
        foreach ($outlines->shared($zone) as $other => $length) {
            if ($other !== 0) {
                expect($outlines->shared($other)[$zone])->toBe($length);
                [$here, $there] = $outlines->alongside($zone, $other, 3);
                expect($here)
                    ->not->toBeEmpty()
                    ->and(array_diff($here, $sheet->pixels()[$zone]))
                    ->toBe([])
                    ->and(array_diff($there, $sheet->pixels()[$other]))
                    ->toBe([]);
            }
        }
    }
})->with([1, 2, 3, 4]);

it('enlarges a zone for the screen so that all zones together cover it once', function () {
    $sheet = blobs(7, 40, 30, 6);
    $covered = array_fill(0, 133 * 100, 0);
    foreach (array_keys($sheet->notes) as $zone) {
        foreach (str_split($sheet->labels->maskOf($zone, 133, 100)) as $at => $byte) {
            $covered[$at] += $byte === "\0" ? 0 : 1;
        }
    }
    expect(array_unique($covered))->toBe([1]);
});

it('keeps strokes and outlines on the picture, wherever they are drawn', function () {
    foreach ([[[-0.5, -0.5], [1.5, 1.5]], [[2.0, 0.5], [3.0, 0.5]], [[0.5, 0.5], [0.5, 0.5]]] as $line) {
        foreach ([Raster::along($line, 30, 20), Raster::brushed($line, 0.1, 30, 20)] as $pixels) {
            foreach (array_keys($pixels) as $at) {
                expect($at)->toBeGreaterThanOrEqual(0)->toBeLessThan(600);
            }
        }
    }
    // A line leaves no gap sideways or up and down: what is on one side can't reach the other.
    $cut = Raster::along([[0.0, 0.13], [0.37, 0.61], [1.0, 0.72]], 30, 20);
    $open = [0];
    $seen = [0 => true];
    while ($open !== []) {
        $at = array_pop($open);
        foreach ([$at % 30 > 0 ? $at - 1 : -1, $at % 30 < 29 ? $at + 1 : -1, $at - 30, $at + 30] as $near) {
            if ($near >= 0 && $near < 600 && ! isset($cut[$near]) && ! isset($seen[$near])) {
                $seen[$near] = true;
                $open[] = $near;
            }
        }
    }
    expect(isset($seen[599 - 29]))
        ->toBeFalse()
        ->and(count(Raster::within([[0.25, 0.25], [0.75, 0.25], [0.75, 0.75], [0.25, 0.75]], 40, 40)))
        ->toBe(400);
});

it('takes a photo of another shape as if stretched to the sheet', function () {
    $grid = PixelGrid::ofSrgb(2, 1, "\xFF\xFF\xFF\0\0\0");
    $large = $grid->resampled(6, 4);
    expect($large->count())
        ->toBe(24)
        ->and($large->l[0])
        ->toBe($grid->l[0])
        ->and($large->l[5])
        ->toBe($grid->l[1])
        ->and($large->l[18])
        ->toBe($grid->l[0]);
});
