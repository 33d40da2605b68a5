<?php

declare(strict_types=1);

use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Regions\LocalColours;

/** @param  Closure(int, int): array{int, int, int}  $seen  x, y to red, green, blue */
function seenAs(int $width, int $height, Closure $seen): PixelGrid
{
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $bytes .= implode('', array_map(chr(...), $seen($x, $y)));
        }
    }

    return PixelGrid::ofSrgb($width, $height, $bytes);
}

/** A red of some value, lit and shaded: its local colour. */
function redAt(float $value): array
{
    return [(int) (220 * $value), (int) (60 * $value), (int) (50 * $value)];
}

it('makes one zone of what is one material in light and shade, in however many pieces', function () {
    // Three red columns, each graded from light to shade, before a blue wall that is as light as they are in the middle.
    $grid = seenAs(
        120,
        80,
        static fn (int $x, int $y): array => $x % 40 >= 14 && $x % 40 < 28 && $y > 10
            ? redAt(1.0 - 0.035 * (($x % 40) - 14))
            : [70, 100, 150 + ($y % 3)],
    );
    $labels = LocalColours::of($grid, 12);
    $at = static fn (int $x, int $y): int => $labels[$y * 120 + $x];
    expect(array_unique([$at(18, 40), $at(26, 60), $at(58, 40), $at(66, 70), $at(98, 40), $at(106, 20)]))
        ->toHaveCount(1)
        ->and($at(5, 40))
        ->not->toBe($at(18, 40))
        ->and(array_unique([$at(5, 5), $at(40, 40), $at(75, 70)]))
        ->toHaveCount(1)
        ->and(count(array_unique($labels)))
        ->toBeLessThanOrEqual(4)
        ->and(LocalColours::of($grid, 12))
        ->toBe($labels);
});

it('keeps a sky that pales in one, and what stands out in it', function () {
    $grid = seenAs(
        120,
        80,
        static fn (int $x, int $y): array => ($x - 90) ** 2 + ($y - 20) ** 2 < 16 ? [250, 190, 60] : [120 + $y, 160 + intdiv($y, 2), 220],
    );
    $labels = LocalColours::of($grid, 12);
    expect($labels[20 * 120 + 90])
        ->not->toBe($labels[20 * 120 + 60])
        ->and(array_unique([$labels[3 * 120 + 5], $labels[40 * 120 + 60], $labels[76 * 120 + 115]]))
        ->toHaveCount(1);
});

it('gives crumbs to what surrounds them, and finds nothing where there is nothing', function () {
    mt_srand(3);
    $noise = seenAs(90, 60, static fn (): array => [mt_rand(0, 255), mt_rand(0, 255), mt_rand(0, 255)]);
    $least = 0.0003 * $noise->count();
    $pieces = Patchwork::byPiece(LocalColours::of($noise, 8), 90, 60);
    expect(min(array_map(count(...), $pieces)))
        ->toBeGreaterThanOrEqual((int) $least)
        ->and(count(array_unique(LocalColours::of($noise, 8))))
        ->toBeLessThanOrEqual(8);
    expect(array_unique(LocalColours::of(seenAs(60, 40, static fn (): array => [120, 90, 60]), 12)))->toBe([0]);
    // Black and white have no hue to go by; a picture of two pixels is one all the same.
    $grey = seenAs(60, 40, static fn (int $x): array => $x < 30 ? [20, 20, 20] : [235, 235, 235]);
    expect(count(array_unique(LocalColours::of($grey, 12))))
        ->toBeLessThanOrEqual(2)
        ->and(LocalColours::of(seenAs(2, 1, static fn (int $x): array => [90 * $x, 9, 9]), 3))
        ->toHaveCount(2);
});
