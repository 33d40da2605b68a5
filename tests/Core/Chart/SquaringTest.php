<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Chart\BenchCamera\Flat;
use KnottyPrism\Core\Chart\Reading\Blob;
use KnottyPrism\Core\Chart\Reading\Blobs;
use KnottyPrism\Core\Chart\Reading\CameraColour;
use KnottyPrism\Core\Chart\Reading\FindMarkers;
use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\PaperLight;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\Reading\ShadowEdge;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\SheetMarkers;
use KnottyPrism\Core\Colour\Equations\Matrix3;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\OutOfRange;
use Tests\Core\Pencils;

/**
 * A photo by a rule for every pixel.
 *
 * @param  Closure(int, int): array{int, int, int}  $rule
 */
function photoBy(int $width, int $height, Closure $rule): Photograph
{
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            [$r, $g, $b] = $rule($x, $y);
            $bytes .= chr($r).chr($g).chr($b);
        }
    }

    return new Photograph($width, $height, $bytes);
}

/**
 * @return Closure(float, float): bool whether a place lies on one of the rings of a sheet's markers, which lie at these places, at so many
 *   pixels to the millimetre
 */
function onMarks(array $centres, float $scale, int $dotted = 0): Closure
{
    return static function (float $x, float $y) use ($centres, $scale, $dotted): bool {
        foreach ($centres as $i => [$u, $v]) {
            $far = hypot($x - $u, $y - $v) / $scale;
            if (($far < SheetMarkers::RING && $far > SheetMarkers::HOLE) || ($i === $dotted && $far < SheetMarkers::DOT)) {
                return true;
            }
        }

        return false;
    };
}

/** @return list<Blob> the dark pieces of a plane of light on which something is drawn */
function darkPieces(Closure $isDark, int $side = 400): array
{
    $grey = [];
    for ($at = 0; $at < $side * $side; $at++) {
        $grey[] = $isDark($at % $side, intdiv($at, $side)) ? 0.1 : 0.9;
    }

    return array_values(array_filter(Blobs::in($grey, $side, $side), static fn (Blob $b): bool => $b->dark));
}

it('carries a plane to where a photo shows it: corners exactly, lines to lines, and back again', function () {
    $chance = new Chance(5);
    $square = [[0.0, 0.0], [210.0, 0.0], [210.0, 297.0], [0.0, 297.0]];
    for ($n = 0; $n < 25; $n++) {
        $seen = array_map(
            static fn (array $p): array => [$p[0] * 4 + $chance->between(-150, 150), $p[1] * 4 + $chance->between(-150, 150)],
            $square,
        );
        $there = Homography::between($square, $seen);
        $back = Homography::between($seen, $square);
        foreach ($square as $i => $corner) {
            expect(hypot($there->to(...$corner)[0] - $seen[$i][0], $there->to(...$corner)[1] - $seen[$i][1]))->toBeLessThan(1e-6);
        }
        [$x, $y] = [$chance->between(0, 210), $chance->between(0, 297)];
        [$u, $v] = $back->to(...$there->to($x, $y));
        expect(hypot($u - $x, $v - $y))->toBeLessThan(1e-6);
        // Three places in a row stay in a row.
        [[$ax, $ay], [$bx, $by], [$cx, $cy]] = [$there->to(10, 20), $there->to(60, 90), $there->to(110, 160)];
        expect(abs(($bx - $ax) * ($cy - $ay) - ($by - $ay) * ($cx - $ax)))->toBeLessThan(1e-4 * hypot($cx - $ax, $cy - $ay));
    }
});

it('tells a disc from all else, however it is seen', function () {
    [$round] = darkPieces(static fn (int $x, int $y): bool => hypot($x - 60, $y - 55) < 14);
    expect($round->likeDisc())
        ->toBeGreaterThan(0.985)
        ->and($round->centre()[0])
        ->toEqualWithDelta(60.5, 0.1)
        ->and($round->centre()[1])
        ->toEqualWithDelta(55.5, 0.1)
        ->and($round->size())
        ->toEqualWithDelta(M_PI * 14 ** 2, 25);
    // Seen aslant a disc is an ellipse.
    [$aslant] = darkPieces(static fn (int $x, int $y): bool => (($x - 60 + ($y - 60)) / 36) ** 2 + (($x - 60 - ($y - 60)) / 18) ** 2 < 1);
    [$square] = darkPieces(static fn (int $x, int $y): bool => abs($x - 60) < 13 && abs($y - 60) < 13);
    [$ring] = darkPieces(static fn (int $x, int $y): bool => hypot($x - 60, $y - 60) < 15 && hypot($x - 60, $y - 60) > 8);
    [$hook] = darkPieces(static fn (int $x, int $y): bool => abs($x - 60) < 14 && abs($y - 60) < 14 && ($x < 52 || $y > 68));
    expect($aslant->likeDisc())
        ->toBeGreaterThan(0.975)
        ->and($square->likeDisc())
        ->toEqualWithDelta(0.955, 0.006)
        ->and($ring->likeDisc())
        ->toBeLessThan(0.75)
        ->and($hook->likeDisc())
        ->toBeLessThan(0.8);
});

it('keeps pieces apart that do not touch, joins those that do, and takes light beside dark, not light as such', function () {
    $pieces = darkPieces(
        static fn (int $x, int $y): bool => ($x < 12 && $y < 30) ||
            ($x > 14 && $x < 26 && $y < 30) ||
            ($x > 70 && $x < 90 && $y < 80 && ($x < 74 || $x > 86 || $y > 74)),
    );
    expect($pieces)->toHaveCount(3);
    // Half of it lies in deep shadow: the same discs are found, the edge of the shadow is not one.
    $grey = [];
    for ($at = 0; $at < 200 * 200; $at++) {
        [$x, $y] = [$at % 200, intdiv($at, 200)];
        $ink = hypot($x - 40, $y - 100) < 7 || hypot($x - 160, $y - 100) < 7;
        $grey[] = ($ink ? 0.2 : 0.9) * (1 - 0.55 / (1 + exp(-($x - 100) / 8)));
    }
    $discs = array_filter(Blobs::in($grey, 200, 200), static fn (Blob $b): bool => $b->dark && $b->size() > 80 && $b->likeDisc() > 0.93);
    expect($discs)->toHaveCount(2);
});

it('knows the ring with a dot for the top left, whichever way the sheet lies', function (int $turn) {
    $at = [[60.0, 60.0], [340.0, 60.0], [340.0, 240.0], [60.0, 240.0]];
    $turned = [...array_slice($at, $turn), ...array_slice($at, 0, $turn)];
    $ink = onMarks($turned, 5.0);
    $markers = FindMarkers::in(
        photoBy(400, 300, static fn (int $x, int $y): array => $ink($x + 0.5, $y + 0.5) ? [40, 38, 42] : [235, 232, 225]),
    );
    foreach ($turned as $i => [$x, $y]) {
        expect(hypot($markers[$i][0] - $x, $markers[$i][1] - $y))->toBeLessThan(0.5);
    }
})->with([0, 1, 2, 3]);

it('says what is missing: a corner, sharpness, or the sheet itself', function (array $centres, string $reason) {
    $ink = onMarks($centres, 5.0);
    $photo = photoBy(
        400,
        300,
        static fn (int $x, int $y): array => $ink($x + 0.5, $y + 0.5) ? [40, 38, 42] : ($x > 350 ? [80, 60, 40] : [235, 232, 225]),
    );
    expect(fn () => FindMarkers::in($photo))->toThrow(static fn (BadPhoto $e) => expect($e->reason)->toBe($reason));
})->with([
    'three markers' => [[[60.0, 60.0], [340.0, 60.0], [340.0, 240.0]], BadPhoto::CORNER_OUTSIDE],
    'none' => [[], BadPhoto::NO_SHEET],
]);

it('names page and sheet by squares of which one misread is noticed', function () {
    $seen = [];
    for ($page = 0; $page < 8; $page++) {
        foreach ([0, 1, 77, 512, 1023] as $sheet) {
            $bits = SheetMarkers::bits($page, $sheet);
            expect($bits)
                ->toHaveCount(count(SheetMarkers::squares()))
                ->and(count(array_filter($bits)) % 2)
                ->toBe(1);
            foreach (array_keys($bits) as $i) {
                $misread = $bits;
                $misread[$i] = ! $misread[$i];
                expect(count(array_filter($misread)) % 2)->toBe(0);
            }
            $seen[] = implode('', array_map(intval(...), $bits));
        }
    }
    expect(array_unique($seen))->toHaveCount(40);
});

it('reads light between pixels, none beyond the edge, and refuses bytes that fill no photo', function () {
    $photo = photoBy(200, 200, static fn (int $x, int $y): array => [$x, $y, 128]);
    $table = Photograph::decoded();
    expect($photo->at(50.5, 80.5))
        ->toEqualWithDelta([$table[50], $table[80], $table[128]], 1e-12)
        ->and($photo->at(51.0, 80.5)[0])
        ->toEqualWithDelta(($table[50] + $table[51]) / 2, 1e-12)
        ->and($photo->at(0.3, 20))
        ->toBeNull()
        ->and($photo->at(20, 199.8))
        ->toBeNull()
        ->and($photo->at(-5, -5))
        ->toBeNull()
        ->and($table[0])
        ->toBe(0.0)
        ->and($table[255])
        ->toEqualWithDelta(1.0, 1e-9);
    expect(fn () => new Photograph(200, 200, 'short'))
        ->toThrow(OutOfRange::class)
        ->and(fn () => new Photograph(20, 200, str_repeat("\0", 12000)))
        ->toThrow(OutOfRange::class);
});

it('follows a slope of light and the edge of a shadow across a box by what lies around it, and passes over a stray stroke', function () {
    $light = static fn (float $u, float $v): array => [0.8 - 0.3 * $u, 0.8 - 0.2 * $v, 0.7 - 0.2 * $u - 0.1 * $v];
    $side = static fn (Closure $place): array => array_map(static fn (int $i): array => $light(...$place($i / 8)), range(0, 8));
    $sides = [
        $side(static fn (float $s): array => [$s, 0]),
        $side(static fn (float $s): array => [$s, 1]),
        $side(static fn (float $s): array => [0, $s]),
        $side(static fn (float $s): array => [1, $s]),
    ];
    $even = PaperLight::ofSides(...$sides);
    foreach ([[0.0, 0.0], [0.5, 0.5], [0.25, 0.9], [1.0, 0.3]] as [$u, $v]) {
        expect($even->at($u, $v))->toEqualWithDelta($light($u, $v), 1e-9);
    }
    expect($even->evenness())->toEqualWithDelta(0.6 / 0.8, 1e-9);
    // A shadow that falls across from left to right, known above and below.
    $shadow = static fn (array $side): array => array_map(
        static fn (array $l, int $i): array => $i > 4 ? [$l[0] / 2, $l[1] / 2, $l[2] / 2] : $l,
        $side,
        array_keys($side),
    );
    $half = static fn (array $side): array => array_map(static fn (array $l): array => [$l[0] / 2, $l[1] / 2, $l[2] / 2], $side);
    $shaded = PaperLight::ofSides($shadow($sides[0]), $shadow($sides[1]), $sides[2], $half($sides[3]));
    expect($shaded->at(0.3, 0.5)[1])
        ->toEqualWithDelta($light(0.3, 0.5)[1], 0.02)
        ->and($shaded->at(0.8, 0.5)[1])
        ->toEqualWithDelta($light(0.8, 0.5)[1] / 2, 0.02);
    // One dark place among its neighbours is a stroke that went over the edge.
    $sides[0][3] = [0.1, 0.1, 0.1];
    expect(PaperLight::ofSides(...$sides)->at(3 / 8, 0.0)[1])->toEqualWithDelta($light(3 / 8, 0.0)[1], 0.01);
});

/** @return list<list<float>> logarithms of the light along the four sides */
function lightAlong(Closure $light): array
{
    return array_map(
        static fn (int $side): array => array_map(
            static fn (int $i): float => log($light(...ShadowEdge::place($side, $i / 48))),
            range(0, 48),
        ),
        range(0, 3),
    );
}

it('finds the slanting edge of a shadow from two sides, and none in a slope, in noise or in strokes over the edge', function () {
    $chance = new Chance(6);
    foreach ([[0.3, 0.7, 0.6, 0.02], [0.8, 0.35, 0.75, 0.01], [0.5, 0.52, 0.85, 0.03]] as [$top, $bottom, $left, $soft]) {
        // In shadow to the right of a line from the top side to the bottom one; the light falls off besides, and noise lies over it.
        $shadow = static fn (float $u, float $v): float => 1 - (1 - $left) / (1 + exp(-($u - $top - ($bottom - $top) * $v) / $soft));
        $edge = ShadowEdge::across(
            lightAlong(
                static fn (float $u, float $v): float => (0.8 - 0.2 * $u * $u - 0.1 * $v) *
                    $shadow($u, $v) *
                    (1 + 0.004 * $chance->normal()),
            ),
        );
        expect($edge)->not->toBeNull();
        $deep = $edge?->leaves(1.0, 0.5) / $edge?->leaves(0.0, 0.5);
        expect($deep)->toEqualWithDelta($left, 0.03);
        foreach ([0.1, 0.4, 0.6, 0.9] as $v) {
            $middle = $top + ($bottom - $top) * $v;
            expect($edge?->leaves($middle - 0.12, $v) / $edge?->leaves(0.0, $v))
                ->toBeGreaterThan(0.97)
                ->and($edge?->leaves($middle + 0.12, $v) / $edge?->leaves(0.0, $v))
                ->toEqualWithDelta($left, 0.04);
        }
    }
    expect(ShadowEdge::across(lightAlong(static fn (float $u, float $v): float => 0.9 - 0.4 * $u - 0.2 * $v)))
        ->toBeNull()
        ->and(ShadowEdge::across(lightAlong(static fn (): float => 0.7 * (1 + 0.03 * $chance->normal()))))
        ->toBeNull()
        ->and(ShadowEdge::across(lightAlong(static fn (float $u, float $v): float => $v === 0.0 && abs($u - 0.4) < 0.02 ? 0.4 : 0.8)))
        ->toBeNull();
});

it('learns how a camera sees from pencils that are known, and believes in an honest one where there are few', function () {
    $known = $measured = [];
    $skew = [[1.06, -0.04, 0.0], [0.02, 0.95, 0.02], [0.0, -0.05, 1.1]];
    $unskew = Matrix3::inverse($skew);
    foreach (['yellow', 'orange', 'red', 'violet', 'blue', 'green', 'black', 'pale blue'] as $name) {
        $pencil = Pencils::named($name);
        $known[$pencil->id()] = $pencil;
        foreach ([BoxKind::Heavy, BoxKind::Light] as $kind) {
            $xyz = Xyz::ofReflectance($kind->swatch()?->lay($pencil)->meanReflectance() ?? []);
            $true = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
            $measured[] = [new ChartBox($pencil->id(), $kind, 0, 0, 22, 14), Matrix3::times($unskew, ...$true), $true];
        }
    }
    $camera = CameraColour::by(array_map(static fn (array $m): array => [$m[0], $m[1]], $measured), $known);
    $off = static fn (array $a, array $b): float => max(array_map(static fn (float $x, float $y): float => abs($x - $y), $a, $b));
    $before = $after = 0.0;
    foreach ($measured as [, $seen, $true]) {
        $before += $off($seen, $true);
        $after += $off($camera->corrected($seen), $true);
    }
    expect($after)->toBeLessThan(0.5 * $before);
    // Two pencils, four boxes: too few to say anything.
    $few = CameraColour::by(array_map(static fn (array $m): array => [$m[0], $m[1]], array_slice($measured, 0, 4)), $known);
    expect($few->corrected([0.2, 0.3, 0.4]))->toEqualWithDelta([0.2, 0.3, 0.4], 1e-12);
    // Nothing shows less than no light.
    expect(min($camera->corrected([0.0, 0.9, 0.0])))->toBeGreaterThanOrEqual(0.0);
});

it('throws dice alike for the same seed, evenly between two figures, and about normally', function () {
    [$one, $again, $other] = [new Chance(9), new Chance(9), new Chance(10)];
    $throws = array_map(static fn (): float => $one->between(-2, 6), range(1, 4000));
    expect(array_map(static fn (): float => $again->between(-2, 6), range(1, 4000)))
        ->toBe($throws)
        ->and($other->between(-2, 6))
        ->not->toBe($throws[0]);
    expect(min($throws))
        ->toBeGreaterThanOrEqual(-2.0)
        ->and(max($throws))
        ->toBeLessThanOrEqual(6.0)
        ->and(array_sum($throws) / 4000)
        ->toEqualWithDelta(2.0, 0.15);
    $normal = array_map(static fn (): float => $one->normal(), range(1, 4000));
    expect(array_sum($normal) / 4000)
        ->toEqualWithDelta(0.0, 0.06)
        ->and(sqrt(array_sum(array_map(static fn (float $n): float => $n * $n, $normal)) / 4000))
        ->toEqualWithDelta(1.0, 0.05);
});

it('keeps a dot as its light, and no light beyond what a byte holds', function () {
    $flat = new Flat(10.0, 5.0);
    expect([$flat->width, $flat->height, strlen($flat->dots)])->toBe([40, 20, 2400]);
    $flat->dot(7, [0.214, 1.7, -0.3]);
    expect(array_map(ord(...), str_split(substr($flat->dots, 21, 3))))->toBe([127, 255, 0]);
});
