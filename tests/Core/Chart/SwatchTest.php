<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\ReadSwatches;
use KnottyPrism\Core\Chart\Sheet\SwatchGrid;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Medium\Paper\Paper;

const SWATCHES = [
    [0.55, 0.1, 0.08],
    [0.85, 0.7, 0.15],
    [0.1, 0.2, 0.5],
    [0.12, 0.4, 0.2],
    [0.04, 0.05, 0.05],
    [0.7, 0.45, 0.5],
    [0.3, 0.3, 0.32],
    [0.9, 0.85, 0.7],
    [0.25, 0.12, 0.4],
    [0.5, 0.55, 0.3],
    [1.0, 1.0, 1.0],
];

/** An artist's own page: three rows of four swatches within a margin, one place left empty, in uneven light. */
function ownPage(float $filled = 0.8): Photograph
{
    return sheetAt(
        ASLANT,
        static function (float $u, float $v) use ($filled): array {
            [$x, $y] = [(($u - 0.12) / 0.76) * 4, (($v - 0.12) / 0.76) * 3];
            if ($x < 0 || $y < 0 || $x >= 4 || $y >= 3 || max(abs($x - (int) $x - 0.5), abs($y - (int) $y - 0.5)) > $filled / 2) {
                return [1.0, 1.0, 1.0];
            }

            return SWATCHES[(int) $y * 4 + (int) $x] ?? [1.0, 1.0, 1.0];
        },
        static fn (float $u, float $v): float => 0.95 - 0.35 * $u - 0.1 * $v,
        [240, 228, 200],
    );
}

/** @return list<array{float, float}> the corners of its grid, moved by so much of the grid */
function ownCorners(float $off = 0.0): array
{
    $view = Homography::between([[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]], ASLANT);

    return array_map(static fn (array $p): array => $view->to(0.12 + 0.76 * ($p[0] + $off), 0.12 + 0.76 * $p[1]), [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
    ]);
}

function ownRead(float $off = 0.0, float $filled = 0.8): ChartReading
{
    return ReadSwatches::page(
        ownPage($filled),
        new SwatchGrid(ownCorners($off), 3, 4, array_map(static fn (int $n): string => "Own/$n", range(1, 11))),
        Paper::whiteMedium(),
    );
}

it('reads the swatches of any page by a grid, whatever the light, and sees which place is empty', function (float $off, float $filled) {
    $xyz = Xyz::ofReflectance(Paper::whiteMedium()->reflectance);
    $white = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
    $reading = ownRead($off, $filled);
    foreach ($reading->boxes as $i => $box) {
        $there = BoxReading::labOf(array_map(static fn (float $share, float $w): float => $share * $w, SWATCHES[$i], $white));
        expect($box->lab->deltaE00($there))
            ->toBeLessThan(2.0)
            ->and($box->note)
            ->toBeNull()
            ->and($box->box->pencil)
            ->toBe('Own/'.($i + 1));
    }
    expect($reading->empty())
        ->toBe(['Own/11'])
        ->and($reading->colours())
        ->toHaveCount(10)
        ->and(min(array_map(static fn (BoxReading $b): float => $b->doubt, $reading->boxes)))
        ->toBeGreaterThan(1.5);
})->with(['as they lie' => [0.0, 0.8], 'the grid laid a little off' => [0.02, 0.8], 'swatch beside swatch' => [0.0, 1.0]]);

it('says where the grid does not lie on the swatches', function () {
    // Half a cell aside every cell holds two swatches, or one and paper.
    $notes = array_filter(array_map(static fn (BoxReading $b): ?string => $b->note, ownRead(0.125)->boxes));
    expect(count($notes))
        ->toBeGreaterThan(7)
        ->and(array_values($notes)[0])
        ->toContain('set the corners')
        ->and(
            min(
                array_map(
                    static fn (BoxReading $b): float => $b->doubt,
                    array_filter(ownRead(0.125)->boxes, static fn (BoxReading $b): bool => $b->note !== null),
                ),
            ),
        )
        ->toBeGreaterThan(BoxReading::TOO_DOUBTFUL);
});

it('wants bare paper around, and no more pencils than there are places', function () {
    $cut = photoBy(300, 200, static fn (int $x, int $y): array => [90 + ($x % 7), 60, 50]);
    expect(
        fn () => ReadSwatches::page(
            $cut,
            new SwatchGrid([[1.0, 1.0], [299.0, 1.0], [299.0, 199.0], [1.0, 199.0]], 2, 2, ['a']),
            Paper::whiteMedium(),
        ),
    )->toThrow(static fn (BadPhoto $e) => expect($e->reason)->toBe(BadPhoto::NO_BARE_PAPER));
    foreach ([[3, 4, 13], [0, 4, 1], [3, 25, 1], [3, 4, 0], [24, 24, 61]] as [$rows, $columns, $pencils]) {
        expect(
            fn () => new SwatchGrid(ownCorners(), $rows, $columns, array_map(strval(...), array_slice(range(0, 60), 0, $pencils))),
        )->toBeRefused();
    }
    foreach (
        [
            [[50.0, 50.0], [50.0, 50.0], [50.0, 50.0], [50.0, 50.0]],
            [[10.0, 10.0], [200.0, 10.0], [10.0, 90.0], [200.0, 90.0]],
            [[0.0, 0.0], [99.0, 0.0], [9.0, 9.0], [0.0, 99.0]],
        ] as $across
    ) {
        expect(fn () => new SwatchGrid($across, 2, 2, ['a']))->toBeRefused('cross each other');
    }
    expect((new SwatchGrid(ownCorners(), 3, 4, ['a', 'b', 'c', 'd', 'e']))->boxes()[4])->toEqual(
        new KnottyPrism\Core\Chart\Sheet\ChartBox('e', KnottyPrism\Core\Chart\Sheet\BoxKind::Heavy, 0.0, 1 / 3, 0.25, 1 / 3),
    );
});
