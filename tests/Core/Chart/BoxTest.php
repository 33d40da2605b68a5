<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Chart\BenchCamera\Flat;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\MeasuredPencils;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\Reading\ReadBox;
use KnottyPrism\Core\Chart\Reading\SheetPhoto;
use KnottyPrism\Core\Chart\Reading\SquaredSheet;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarkers;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Medium\Paper\Paper;

const PAPER_LIGHT = [0.86, 0.84, 0.8];

/** Two pencils on an A5 sheet, its boxes filled evenly by a rule: share of the paper's light at a place of a box, in millimetres. */
function evenSheet(Closure $filled): Flat
{
    $sheet = twoBoxes();
    $flat = new Flat($sheet->width, $sheet->height);
    $bits = $sheet->bits(0);
    for ($v = 0, $at = 0; $v < $flat->height; $v++) {
        for ($u = 0; $u < $flat->width; $u++, $at++) {
            [$x, $y] = [($u + 0.5) / Flat::FINE, ($v + 0.5) / Flat::FINE];
            $light = PAPER_LIGHT;
            foreach (SheetMarkers::centres($sheet->width, $sheet->height) as $i => [$cx, $cy]) {
                $far = hypot($x - $cx, $y - $cy);
                $light =
                    ($far < SheetMarkers::RING && $far > SheetMarkers::HOLE) || ($i === 0 && $far < SheetMarkers::DOT)
                        ? [0.03, 0.03, 0.03]
                        : $light;
            }
            foreach (SheetMarkers::squares() as $i => [$cx, $cy]) {
                $light = $bits[$i] && max(abs($x - $cx), abs($y - $cy)) < SheetMarkers::SQUARE / 2 ? [0.03, 0.03, 0.03] : $light;
            }
            foreach ($sheet->pages[0] as $n => $box) {
                if ($x > $box->x && $x < $box->x + $box->width && $y > $box->y && $y < $box->y + $box->height) {
                    $share = $filled($n, $x - $box->x, $y - $box->y);
                    $light = [$light[0] * $share[0], $light[1] * $share[1], $light[2] * $share[2]];
                }
            }
            $flat->dot($at, $light);
        }
    }

    return $flat;
}

function twoBoxes(): ChartSheet
{
    static $sheet = null;

    return $sheet ??= ChartSheet::of(['Line/1', 'Line/2'], 'a5');
}

function shotOf(Flat $flat, Shot $shot): Photograph
{
    return BenchCamera::photograph($flat, $shot, 900, 5);
}

it('reads a box as what lies in it sends back of the paper\'s light, whatever the lamp and wherever the light falls off', function (
    Shot $shot,
) {
    $colours = [[0.2, 0.1, 0.08], [0.6, 0.5, 0.2], [0.3, 0.4, 0.7], [0.05, 0.06, 0.05], [0.9, 0.7, 0.7], [0.4, 0.6, 0.3]];
    $photo = shotOf(evenSheet(static fn (int $n): array => $colours[$n % 6]), $shot);
    $squared = SquaredSheet::of($photo, twoBoxes());
    foreach (twoBoxes()->pages[0] as $n => $box) {
        $figures = ReadBox::in($squared, $box)?->measured();
        expect($figures)
            ->not->toBeNull()
            ->and($figures->ratio)
            ->toEqualWithDelta($colours[$n % 6], 0.02)
            ->and($figures->glints)
            ->toBeLessThan(0.02)
            ->and($figures->full)
            ->toBeLessThan(0.01);
    }
})->with([
    'square on' => [fn () => new Shot()],
    'aslant under a warm lamp' => [fn () => new Shot(turn: 30, tilt: 15, pan: 8, lamp: [0.9, 0.75, 0.55])],
    'darker to one side' => [fn () => new Shot(turn: 180, fallOff: 0.4)],
]);

it('leaves out glints, flecks of dirt and the turns of strokes at the edge, but not flecks of paper', function () {
    $chance = new Chance(8);
    $dirt = array_map(static fn (): array => [$chance->between(4, 18), $chance->between(3, 11)], range(1, 2));
    $base = [0.3, 0.2, 0.1];
    $photo = shotOf(
        evenSheet(static function (int $n, float $x, float $y) use ($dirt, $base): array {
            if (min($x, $y) < 1.6) {
                return [0.1, 0.05, 0.02];
            }
            foreach ($dirt as [$u, $v]) {
                if (hypot($x - $u, $y - $v) < 0.4) {
                    return [0.01, 0.01, 0.01];
                }
            }

            return hypot($x - 9, $y - 7) < 1.1 ? [1.1, 1.1, 1.1] : $base;
        }),
        new Shot(),
    );
    $figures = ReadBox::in(SquaredSheet::of($photo, twoBoxes()), twoBoxes()->pages[0][0])?->measured();
    expect($figures->ratio)->toEqualWithDelta($base, 0.015)->and($figures->glints)->toBeGreaterThan(0.005);
    // Every other square millimetre bare: an eye that steps back means them in.
    $half = shotOf(
        evenSheet(static fn (int $n, float $x, float $y): array => ((int) $x + (int) $y) % 2 === 0 ? [0.3, 0.3, 0.3] : [1.0, 1.0, 1.0]),
        new Shot(),
    );
    expect(ReadBox::in(SquaredSheet::of($half, twoBoxes()), twoBoxes()->pages[0][0])?->measured()->ratio[1])->toEqualWithDelta(
        0.65,
        0.06,
    );
});

it('tells how sharp a photo is and how much stray light lies over its blacks, and takes that off', function () {
    $flat = evenSheet(static fn (): array => [0.3, 0.3, 0.3]);
    $of = static fn (Shot $shot): SheetPhoto => SheetPhoto::of(SquaredSheet::of(shotOf($flat, $shot), twoBoxes()), twoBoxes(), [
        0.91,
        0.91,
        0.91,
    ]);
    $clear = $of(new Shot());
    $veiled = $of(new Shot(veil: 0.05));
    expect($of(new Shot(blur: 0.6))->edge)
        ->toBeGreaterThan($clear->edge)
        ->and($veiled->veil[1])
        ->toBeGreaterThan($clear->veil[1] + 0.02)
        ->and($veiled->unveiled([1.0, 1.0, 1.0]))
        ->toEqualWithDelta([1.0, 1.0, 1.0], 1e-9)
        ->and($veiled->unveiled([0.4, 0.4, 0.4])[1])
        ->toBeLessThan(0.4)
        ->and($veiled->unveiled([0.0, 0.0, 0.0]))
        ->toBe([0.0, 0.0, 0.0]);
    expect(fn () => $of(new Shot(lamp: [0.02, 0.02, 0.02])))
        ->toThrow(static fn (BadPhoto $e) => expect($e->reason)->toBe(BadPhoto::DARK))
        ->and(fn () => $of(new Shot(lamp: [0.9, 0.5, 0.2])))
        ->toThrow(static fn (BadPhoto $e) => expect($e->reason)->toBe(BadPhoto::LAMP));
});

it('writes what was measured as rows of a drawer, and leaves out what was not coloured in heavily', function () {
    $pencils = [new SheetPencil('Line', '1', 'Hull red'), new SheetPencil('Line', '2', 'Slate'), new SheetPencil('Line', '3', 'Rope')];
    $rows = MeasuredPencils::rows(
        $pencils,
        [
            'Line/1' => [BoxKind::Heavy->value => '#a03020', BoxKind::Light->value => '#d0a090'],
            'Line/2' => [BoxKind::Light->value => '#b0b0b0'],
            'Line/3' => [BoxKind::Heavy->value => '#c8b490', BoxKind::Black->value => '#403a30'],
        ],
        Paper::whiteMedium(),
    );
    expect(
        array_map(
            static fn (ShelfRow $r): array => [
                $r->record->number,
                $r->record->name,
                $r->record->heavy,
                $r->record->light,
                $r->record->overBlack,
            ],
            $rows,
        ),
    )->toBe([['1', 'Hull red', '#a03020', '#d0a090', null], ['3', 'Rope', '#c8b490', null, '#403a30']]);
});

it('takes a list of pencils as one writes it, and names the row that is none', function () {
    expect(
        array_map(
            static fn (SheetPencil $p): array => [$p->number, $p->name],
            SheetPencil::listed("711 Dry reed\n\n712, 713\r\n720", 'Line'),
        ),
    )->toBe([['711', 'Dry reed'], ['712', ''], ['713', ''], ['720', '']]);
    expect(fn () => SheetPencil::listed('', 'Line'))
        ->toBeRefused()
        ->and(fn () => SheetPencil::listed("711\n711", 'Line'))
        ->toBeRefused('711')
        ->and(fn () => SheetPencil::listed(implode(',', range(1, 61)), 'Line'))
        ->toBeRefused('60');
});
