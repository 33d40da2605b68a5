<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Borders\GradedBands;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\Preview;

it('lets zones run out into each other where the photo has no edge, and nowhere else', function () {
    // One sky that pales from left to right, in two zones, over a wall.
    $lab = static fn (float $x, float $y): array => $y < 0.75 ? [50 + 30 * $x, -4, -12] : [30, 20, 20];
    [$cells, $photo] = [seenGrid(80, 60, $lab), seenGrid(400, 300, $lab)];
    $labels = LabelGrid::ofNumbers(
        80,
        60,
        array_map(static fn (int $at): int => intdiv($at, 80) >= 45 ? 3 : ($at % 80 < 40 ? 1 : 2), range(0, 80 * 60 - 1)),
    );
    $zones = [
        new DrawnZone(1, [drawnShade(new Lab(50, -4, -12), ['blue@0.80']), drawnShade(new Lab(65, -4, -12), ['blue@0.55'])], []),
        new DrawnZone(2, [drawnShade(new Lab(65, -4, -12), ['black@0.20']), drawnShade(new Lab(80, -4, -12), ['black@0.20'])], []),
        new DrawnZone(3, [drawnShade(new Lab(30, 20, 20), ['red@0.55'])], []),
    ];
    $drawn = static function (?GradedBands $bands) use ($labels, $cells, $zones, $photo): array {
        $preview = new Preview(Paper::whiteMedium(), $labels, $cells, $zones, bands: $bands);
        $material = $preview->material($photo, 297.0);

        return [$preview->after(PassesLaid::whole(), $material), $preview->after(new PassesLaid(0), $material)];
    };
    [[$sharp], [$graded, $bare]] = [$drawn(GradedBands::of($labels, [])), $drawn(null)];
    $column = static fn (string $picture, int $x): Lab => meanOf(
        $picture,
        array_map(static fn (int $y): int => $y * 400 + $x, range(40, 180)),
    );
    $steps = static fn (string $picture): array => array_map(
        static fn (int $x): float => $column($picture, $x)->deltaE00($column($picture, $x + 5)),
        range(140, 255, 5),
    );
    // The step is gone: no place of the way changes by much more than the rest, and both sides are what they were.
    expect(max($steps($sharp)))
        ->toBeGreaterThan(8.0)
        ->and(max($steps($graded)))
        ->toBeLessThan(0.45 * max($steps($sharp)))
        ->and($column($graded, 120)->deltaE00($column($sharp, 120)))
        ->toBeLessThan(0.01)
        ->and($column($graded, 280)->deltaE00($column($sharp, 280)))
        ->toBeLessThan(0.01);
    // It goes evenly from the one to the other, and neither side of the way is lighter or darker than both.
    $lightness = array_map(static fn (int $x): float => $column($graded, $x)->l, range(180, 220, 5));
    $ends = [$column($graded, 160)->l, $column($graded, 240)->l];
    expect(min($lightness))
        ->toBeGreaterThan(min($ends) - 1.5)
        ->and(max($lightness))
        ->toBeLessThan(max($ends) + 1.5);
    // The wall's edge is the photo's: no pixel of it changes. Nothing is laid where nothing is.
    expect(substr($graded, 3 * 400 * 226))->toBe(substr($sharp, 3 * 400 * 226))->and(count(array_unique(str_split($bare, 3))))->toBe(1);
});
