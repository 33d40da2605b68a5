<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Regions\BorderContrast;
use KnottyPrism\Core\Photo\Regions\BorderFit;
use KnottyPrism\Core\Photo\Regions\RegionMerge;
use KnottyPrism\Core\Photo\Regions\Superpixels;
use KnottyPrism\Core\Photo\Zones\BetweenValues;
use KnottyPrism\Core\Photo\Zones\FindTouches;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Photo\Zones\TouchNote;

/** @param  Closure(int, int): array{int, int, int}  $rule */
function gridBy(int $width, int $height, Closure $rule, int $grain = 0, int $seed = 1): PixelGrid
{
    $chance = new Chance($seed);
    $bytes = '';
    for ($y = 0; $y < $height; $y++) {
        for ($x = 0; $x < $width; $x++) {
            $by = $grain === 0 ? 0 : (int) round($grain * $chance->normal());
            foreach ($rule($x, $y) as $channel) {
                $bytes .= chr(max(0, min(255, $channel + $by)));
            }
        }
    }

    return PixelGrid::ofSrgb($width, $height, $bytes);
}

/** @return int how many pixels of the commonest label on each side of a truth are not its own */
function misplaced(array $labels, PixelGrid $grid, Closure $truth): int
{
    $counts = [];
    foreach ($labels as $at => $label) {
        $true = $truth($at % $grid->width, intdiv($at, $grid->width));
        $counts[$label][$true] = ($counts[$label][$true] ?? 0) + 1;
    }

    return array_sum(array_map(static fn (array $of): int => array_sum($of) - max($of), $counts));
}

it('cuts a picture into patches that cover it, hang together, and keep to its edges', function () {
    $side = static fn (int $x, int $y): int => hypot($x - 40, $y - 30) < 18 ? 1 : ($y > 44 ? 2 : 0);
    $grid = gridBy(80, 60, static fn (int $x, int $y): array => [[200, 205, 215], [170, 40, 40], [70, 90, 60]][$side($x, $y)], 5);
    $patches = Superpixels::of($grid, 120);
    expect($patches)->toHaveCount(80 * 60)->and(array_values(array_unique($patches)))->toHaveCount(max($patches) + 1)
        ->and(count(array_unique($patches)))->toBeGreaterThan(60)->toBeLessThan(160)
        ->and(misplaced($patches, $grid, $side))->toBeLessThan(0.01 * 80 * 60);
    // Every patch is one piece: joined again with nothing too small, none is parted.
    expect(count(array_unique(Patchwork::joined($patches, 80, 60, 1))))->toBe(count(array_unique($patches)));
    // A picture smaller than a patch is one.
    expect(array_unique(Superpixels::of(gridBy(3, 2, static fn (): array => [9, 9, 9]), 400)))->toBe([0])
        ->and(array_unique(Superpixels::of(gridBy(1, 1, static fn (): array => [9, 9, 9]), 400)))->toBe([0]);
});

it('weighs a border by what is seen to either side of it, not by how far its regions lie apart', function () {
    // From light to dark across, and a strip of another colour at the right: three equal regions.
    $grid = gridBy(90, 30, static fn (int $x): array => $x < 60 ? [230 - 2 * $x, 230 - 2 * $x, 235 - 2 * $x] : [60, 110, 60]);
    $labels = array_map(static fn (int $at): int => intdiv($at % 90, 30), range(0, 90 * 30 - 1));
    $borders = (new BorderContrast($grid, $labels))->borders;
    [$length, $contrast] = $borders[0][1];
    expect($length)->toBe(30)->and($contrast / $length)->toBeLessThan(4.0)->and($borders[1][2][1] / $borders[1][2][0])->toBeGreaterThan(20.0)
        ->and($borders[1][0])->toBe($borders[0][1])->and(isset($borders[0][2]))->toBeFalse();
});

it('joins what only grades, however few are wanted, and keeps apart what an edge parts as long as there is room', function () {
    $side = static fn (int $x): int => $x < 66 ? 0 : 1;
    $grid = gridBy(96, 40, static fn (int $x): array => $side($x) === 0 ? [235 - 2 * $x, 235 - 2 * $x, 240 - 2 * $x] : [150, 60, 40], 3);
    $patches = Superpixels::of($grid, 60);
    $two = (new RegionMerge($grid, $patches))->to(2, 12);
    expect(array_unique($two))->toHaveCount(2)->and(misplaced($two, $grid, static fn (int $x): int => $side($x)))->toBeLessThan(60);
    // With one allowed at most they are joined all the same.
    expect(array_unique((new RegionMerge($grid, $patches))->to(1, 1)))->toHaveCount(1);
    // One patch is left alone.
    expect((new RegionMerge($grid, array_fill(0, 96 * 40, 7)))->to(2, 5))->toBe(array_fill(0, 96 * 40, 0));
});

it('draws a border onto the edge that lies beside it, and grain moves none', function () {
    $edge = static fn (int $x, int $y): int => $x < 30 + (int) (4 * sin($y / 5)) ? 0 : 1;
    $grid = gridBy(60, 60, static fn (int $x, int $y): array => $edge($x, $y) === 0 ? [210, 200, 180] : [90, 100, 120], 6);
    $straight = array_map(static fn (int $at): int => $at % 60 < 32 ? 0 : 1, range(0, 3599));
    $fitted = BorderFit::of($grid, $straight);
    expect(misplaced($straight, $grid, $edge))->toBeGreaterThan(100)->and(misplaced($fitted, $grid, $edge))->toBeLessThan(20);
    // Where both sides look alike the border stays where it was drawn.
    $flat = gridBy(60, 60, static fn (): array => [150, 150, 150], 1);
    expect(count(array_diff_assoc(BorderFit::of($flat, $straight), $straight)))->toBeLessThan(120);
});

it('finds what is coloured otherwise in a zone that grades from light to dark, the largest first', function () {
    // A brown that darkens downward, a red band and a smaller green patch.
    $grid = gridBy(60, 60, static function (int $x, int $y): array {
        $shade = 1 - $y / 100;

        return match (true) {
            $x > 6 && $x < 16 && $y > 10 && $y < 44 => [(int) (190 * $shade), (int) (40 * $shade), (int) (35 * $shade)],
            $x > 40 && $x < 50 && $y > 30 && $y < 44 => [(int) (40 * $shade), (int) (150 * $shade), (int) (110 * $shade)],
            default => [(int) (180 * $shade), (int) (150 * $shade), (int) (110 * $shade)],
        };
    });
    $pixels = range(0, 3599);
    $touches = (new FindTouches($grid))->in($pixels);
    expect($touches)->toHaveCount(2)->and($touches[0]->role)->toBe(Role::touches()[0])->and($touches[0]->share)->toBeGreaterThan($touches[1]->share)
        ->and($touches[0]->lab->a)->toBeGreaterThan(30.0)->and($touches[1]->lab->a)->toBeLessThan(-15.0)->and($touches[0]->name)->not->toBe($touches[1]->name);
    // Each says where it lies, and what is its own.
    foreach ($touches as $i => $touch) {
        $x = $touch->at[0] * 60;
        expect($i === 0 ? $x > 6 && $x < 17 : $x > 40 && $x < 51)->toBeTrue()
            ->and(count($touch->pixels) / 3600)->toEqualWithDelta($touch->share, 1e-9);
    }
    // Without them there is only light and shade, and no touch; nor in a zone of no pixels.
    $plain = array_values(array_filter($pixels, static fn (int $at): bool => ! in_array($at, [...$touches[0]->pixels, ...$touches[1]->pixels], true)));
    expect((new FindTouches($grid))->in($plain))->toBe([])->and((new FindTouches($grid))->in([]))->toBe([]);
});

it('takes a touch where it was placed, small as it may be, and at most as many as a zone may have', function () {
    $grid = gridBy(40, 40, static fn (int $x, int $y): array => $x > 36 && $y > 36 ? [20, 80, 180] : [190, 180, 160]);
    $notes = [new TouchNote('float', 0.96, 0.96), new TouchNote('sand', 0.2, 0.2), new TouchNote('third', 0.5, 0.5), new TouchNote('fourth', 0.5, 0.5)];
    $placed = (new FindTouches($grid))->placed(range(0, 1599), $notes);
    expect(array_map(static fn ($t): string => $t->name, $placed))->toBe(array_slice(['float', 'sand', 'third', 'fourth'], 0, count(Role::touches())))
        ->and($placed[0]->lab->b)->toBeLessThan(-30.0)->and($placed[0]->share)->toBeGreaterThanOrEqual(0.005)->and($placed[0]->at)->toBe([0.96, 0.96]);
});

it('stands between two values as far as it lies from each, and at the ends beyond them', function (float $l, array $expected) {
    [$below, $above, $share] = BetweenValues::of([20.0, 50.0, 90.0], $l);
    expect([$below, $above])->toBe([$expected[0], $expected[1]])->and($share)->toEqualWithDelta($expected[2], 1e-9);
})->with([
    'midway' => [35.0, [0, 1, 0.5]],
    'nearer to the upper' => [80.0, [1, 2, 0.75]],
    'on one of them' => [50.0, [1, 2, 0.0]],
    'darker than all' => [3.0, [0, 0, 0.0]],
    'lighter than all' => [97.0, [2, 2, 0.0]],
]);
