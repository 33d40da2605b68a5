<?php

declare(strict_types=1);

use KnottyPrism\Core\Desk\Transfer\InnerEdges;
use KnottyPrism\Core\Desk\Transfer\Tiles;
use KnottyPrism\Core\Desk\Transfer\Tracing;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Viewing\DrawingFrame;
use KnottyPrism\Core\Photo\Zones\KeptWhites;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneReading;

test('pages cover the whole drawing, fit on the paper and share a strip with each neighbour', function (
    float $wide,
    float $high,
    array $page,
): void {
    $tiles = Tiles::over($wide, $high, $page);
    expect(count($tiles->tiles))->toBe($tiles->columns * $tiles->rows);
    foreach ($tiles->tiles as $i => $tile) {
        expect($tile->wide)
            ->toBeLessThanOrEqual($page[0] - 2 * Tiles::MARGIN + 1e-9)
            ->and($tile->high)
            ->toBeLessThanOrEqual($page[1] - 2 * Tiles::MARGIN - Tiles::FOOT + 1e-9)
            ->and(min($tile->wide, $tile->high))
            ->toBeGreaterThan(0.0);
        $right = $tiles->tiles[$i + 1] ?? null;
        if ($right !== null && $tile->column < $tiles->columns) {
            expect($tile->x + $tile->wide - $right->x)->toEqualWithDelta(Tiles::OVERLAP, 1e-9);
        } else {
            expect($tile->x + $tile->wide)->toEqualWithDelta($wide, 1e-9);
        }
        $below = $tiles->tiles[$i + $tiles->columns] ?? null;
        expect($below === null ? $tile->y + $tile->high : $tile->y + $tile->high - $below->y)->toEqualWithDelta(
            $below === null ? $high : Tiles::OVERLAP,
            1e-9,
        );
    }
})->with([
    [297.0, 210.0, [210, 297]],
    [297.0, 210.0, [148, 210]],
    [150.0, 100.0, [210, 297]],
    [1000.0, 700.0, [215.9, 279.4]],
    [191.0, 20.0, [210, 297]],
]);

test('places of the photo are where they are on the drawing, cut as the drawing is, and mirrored truly', function (): void {
    // A photo of 2:1 on a square: a quarter is cut off at either side.
    $frame = new DrawingFrame(2.0, 200, 200);
    $line = [0.25, 0.0, 0.5, 0.5, 0.75, 1.0];
    expect(Tracing::of($frame, [[$line], []], [], false)->outlines)
        ->toEqual([[[0.0, 0.0], [100.0, 100.0], [200.0, 200.0]]])
        ->and(Tracing::of($frame, [[], []], [$line], true)->inner)
        ->toEqual([[[200.0, 0.0], [100.0, 100.0], [0.0, 200.0]]]);
});

test('a form that turns into its shadow has a line there, a flat one has none, and no line leaves its zone', function (): void {
    [$width, $height] = [60, 40];
    $seen = static fn (int $x): int => match (true) {
        $x < 30 => 200,
        $x < 50 => 150,
        default => 60,
    };
    $bytes = '';
    for ($at = 0; $at < $width * $height; $at++) {
        $bytes .= str_repeat(chr($seen($at % $width)), 3);
    }
    $grid = PixelGrid::ofSrgb($width, $height, $bytes);
    $labels = ZoneMap::ofLabels($grid, array_map(static fn (int $at): int => $at % $width < 30 ? 1 : 2, range(0, $width * $height - 1)))
        ->labels;
    $whites = (new KeptWhites())->on($grid);
    $readings = array_map(
        static fn (array $pixels): ZoneReading => ZoneReading::of($grid, $pixels, new ZoneNote('a zone'), $whites),
        $labels->pixels(),
    );
    $lines = InnerEdges::of($labels, $grid, $readings);
    $x = array_merge(...array_map(static fn (array $line): array => array_column(array_chunk($line, 2), 0), $lines));
    expect($lines)->not->toBe([])->and(min($x))->toBeGreaterThan(0.8)->and(max($x))->toBeLessThan(0.87);
});
