<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\MeasuredPencils;
use KnottyPrism\Core\Chart\ReadChart;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** @return array<string, Pencil> every third of the demo's */
function someOfTheDemo(): array
{
    $all = DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 3).'/demo/drawer.csv'))->usable()->pencils;
    $some = array_values(array_filter($all, static fn (Pencil $p, int $i): bool => $i % 3 === 0, ARRAY_FILTER_USE_BOTH));

    return array_combine(Pencil::identifiers($some), $some);
}

/**
 * @param  array<string, Pencil>  $pencils
 * @param  list<ShelfRow>  $rows  what was measured
 * @return list<float> how far each measured heavy and light swatch is from the pencil's own on white paper, ΔE00, the nearest first
 */
function offOnWhite(array $pencils, array $rows): array
{
    $off = [];
    foreach ($rows as $row) {
        $pencil = $pencils[$row->record->id()];
        $off[] = Lab::ofHex($row->record->heavy)->deltaE00(Swatch::Heavy->colourOf($pencil));
        if ($row->record->light !== null) {
            $off[] = Lab::ofHex($row->record->light)->deltaE00(Swatch::Light->colourOf($pencil));
        }
    }
    sort($off);

    return $off;
}

it('knows a pencil that was coloured in on another paper as it is on white', function (string $name, float $median, float $worst) {
    $paper = PaperShelf::named($name);
    $pencils = someOfTheDemo();
    $hex = static fn (Swatch $s, Pencil $p): string => Srgb::ofXyz($s->colourOf($p, $paper)->xyz())->hex();
    $colours = array_map(
        static fn (Pencil $p): array => [
            BoxKind::Heavy->value => $hex(Swatch::Heavy, $p),
            BoxKind::Light->value => $hex(Swatch::Light, $p),
            BoxKind::Black->value => $hex(Swatch::OverBlack, $p),
        ],
        $pencils,
    );
    $listed = array_map(static fn (string $id): SheetPencil => SheetPencil::ofId($id, ''), array_keys($pencils));
    $off = offOnWhite($pencils, MeasuredPencils::rows($listed, $colours, $paper));
    expect($off)
        ->toHaveCount(2 * count($pencils))
        ->and($off[intdiv(count($off), 2)])
        ->toBeLessThan($median)
        ->and(end($off))
        ->toBeLessThan($worst);
    // Taken for swatches on white paper they are other pencils, unless the paper is white and as rough.
    $as = offOnWhite($pencils, MeasuredPencils::rows($listed, $colours, Paper::whiteMedium()));
    expect($as[intdiv(count($as), 2)])->toBeGreaterThan(2 * $off[intdiv(count($off), 2)]);
})->with([['white smooth', 1.0, 4.0], ['warm grey', 1.5, 8.0], ['drafting film', 1.5, 8.0]]);

it('reads a sheet of warm grey paper from a photo', function () {
    $paper = PaperShelf::named('warm grey');
    $pencils = someOfTheDemo();
    $sheet = ChartSheet::of(array_keys($pencils), 'a5');
    $photo = BenchCamera::photograph((new FilledSheet($sheet, 0, $pencils, $paper, 4))->flat, Shot::ordinary(6), 1200, 6);
    $reading = ReadChart::page($photo, $sheet, $paper);
    $rows = MeasuredPencils::rows(
        array_map(static fn (string $id): SheetPencil => SheetPencil::ofId($id, ''), $sheet->pencils()),
        $reading->colours(),
        $paper,
    );
    $off = offOnWhite($pencils, $rows);
    expect(count($rows))
        ->toBeGreaterThanOrEqual(count($pencils) - 1)
        ->and($off[intdiv(count($off), 2)])
        ->toBeLessThan(3.5);
});

it('prints sheets on every paper but one that black does not show on', function () {
    expect(PaperShelf::printable())->toContain('white medium', 'warm grey', 'drafting film')->not->toContain('black');
});
