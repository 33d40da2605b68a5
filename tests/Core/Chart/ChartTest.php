<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\MeasuredPencils;
use KnottyPrism\Core\Chart\ReadChart;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\Reading\LensBend;
use KnottyPrism\Core\Chart\Reading\SquaredSheet;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** @return array<string, Pencil> the demo's 24 */
function chartPencils(): array
{
    static $pencils = null;
    $drawer = DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 3).'/demo/drawer.csv'));

    return $pencils ??= array_combine(Pencil::identifiers($drawer->pencils), $drawer->pencils);
}

/** @param  list<string>|null  $coloured  pencils coloured in; all when not said */
function filledSheet(string $size = 'a4', ?array $coloured = null, int $page = 0): FilledSheet
{
    static $known = [];
    $pencils = chartPencils();

    return $known[$size.$page.json_encode($coloured)] ??= new FilledSheet(
        ChartSheet::of(array_keys($pencils), $size),
        $page,
        $coloured === null ? $pencils : array_intersect_key($pencils, array_flip($coloured)),
        Paper::whiteMedium(),
        4,
    );
}

function chartRead(FilledSheet $filled, Shot $shot, int $side = 1100, array $known = []): ChartReading
{
    return ReadChart::page(BenchCamera::photograph($filled->flat, $shot, $side, 3), $filled->sheet, Paper::whiteMedium(), $known);
}

/** @return list<float> how far each box is from what lies there, ΔE00, the nearest first */
function chartErrors(FilledSheet $filled, ChartReading $reading): array
{
    $truth = [];
    foreach ($filled->truth as [$box, $lab]) {
        $truth[$box->pencil.$box->kind->value] = $lab;
    }
    $off = [];
    foreach ($reading->boxes as $read) {
        $off[] = $read->lab->deltaE00($truth[$read->box->pencil.$read->box->kind->value]);
    }
    sort($off);

    return $off;
}

it('reads boxes in every ordinary photo', function (Shot $shot) {
    $filled = filledSheet();
    $off = chartErrors($filled, chartRead($filled, $shot));
    expect(count($off))->toBe(72)->and($off[36])->toBeLessThan(2.5)->and($off[64])->toBeLessThan(5.0);
})->with([
    'as it is' => [fn () => new Shot()],
    'upside down' => [fn () => new Shot(turn: 180)],
    'aslant' => [fn () => new Shot(turn: 41)],
    'from far aside' => [fn () => new Shot(tilt: 33, pan: 12)],
    'half of it in shadow' => [fn () => new Shot(shadow: 0.5, shadowAt: 0.45)],
    'at a desk, one way' => [fn () => Shot::ordinary(1)],
    'and another' => [fn () => Shot::ordinary(3)],
    'through a wide lens' => [fn () => new Shot(turn: 41, tilt: 12, barrel: 0.07)],
    'through one that bends the other way' => [fn () => new Shot(tilt: 12, barrel: -0.05)],
]);

it('takes a lens for straight unless the sheet shows that it is not', function () {
    $bendOf = static fn (float $barrel): float => (new ReflectionProperty(SquaredSheet::class, 'bend'))->getValue(
        SquaredSheet::of(
            BenchCamera::photograph(filledSheet()->flat, new Shot(turn: 8, barrel: $barrel, blur: 0.2, noise: 2), 1100, 3),
            filledSheet()->sheet,
        ),
    )->k;
    expect($bendOf(0.0))
        ->toBe(0.0)
        ->and($bendOf(0.05))
        ->toEqualWithDelta(0.05, 0.006)
        ->and($bendOf(-0.03))
        ->toEqualWithDelta(-0.03, 0.006);
});

it('leads from the photo to a straight lens and back', function (float $k) {
    $bend = new LensBend($k, 1600, 1200);
    [$u, $v] = $bend->bent(...$bend->straight(130.0, 1105.0));
    expect($u)
        ->toEqualWithDelta(130.0, 0.1)
        ->and($v)
        ->toEqualWithDelta(1105.0, 0.1)
        ->and($bend->straight(800.0, 600.0))
        ->toBe([800.0, 600.0]);
})->with([0.0, 0.03, 0.09, -0.09]);

it('says the one thing to do about a bad photo', function (Shot $shot, string $reason, string $size = 'a4') {
    $photo = BenchCamera::photograph(filledSheet($size)->flat, $shot, 1000, 3);
    expect(fn () => ReadChart::page($photo, ChartSheet::of(array_keys(chartPencils()), 'a4'), Paper::whiteMedium()))->toThrow(
        static fn (BadPhoto $e) => expect($e->reason)->toBe($reason),
    );
})->with([
    'a corner cut off' => [fn () => new Shot(turn: 20, tilt: 20, close: 1.3), BadPhoto::CORNER_OUTSIDE],
    'blurred' => [fn () => new Shot(blur: 1.7), BadPhoto::BLURRED],
    'dark' => [fn () => new Shot(lamp: [0.03, 0.03, 0.03], noise: 2), BadPhoto::DARK],
    'a coloured lamp' => [fn () => new Shot(lamp: [0.9, 0.5, 0.25]), BadPhoto::LAMP],
    'another sheet' => [fn () => new Shot(), BadPhoto::OTHER_SHEET, 'letter'],
    'glare' => [fn () => new Shot(glare: 0.5), BadPhoto::GLARE],
]);

it('finds no sheet where there is none', function () {
    $bytes = '';
    mt_srand(2);
    for ($i = 0; $i < 400 * 300; $i++) {
        $bytes .= chr(mt_rand(60, 200)).chr(mt_rand(60, 200)).chr(mt_rand(60, 200));
    }
    ReadChart::page(new KnottyPrism\Core\Chart\Reading\Photograph(400, 300, $bytes), ChartSheet::of(['1'], 'a5'), Paper::whiteMedium());
})->throws(BadPhoto::class, 'No chart sheet was found');

it('takes in what was coloured, and a white pencil with it', function () {
    $some = ['Foghorn/F90', 'Slipway/711', 'Slipway/745'];
    $reading = chartRead(filledSheet('a4', $some), Shot::ordinary(5));
    $names = array_map(static fn (Pencil $p): string => $p->record->name, chartPencils());
    $rows = MeasuredPencils::rows(
        array_map(static fn (string $id): SheetPencil => SheetPencil::ofId($id, $names[$id]), array_keys($names)),
        $reading->colours(),
        Paper::whiteMedium(),
    );
    expect(array_keys($reading->swatches()))
        ->toEqualCanonicalizing($some)
        ->and($reading->empty())
        ->toHaveCount(21)
        ->and($rows)
        ->toHaveCount(3)
        ->and($rows[0]->record->name)
        ->not->toBe('')
        ->and(array_filter(array_map(static fn ($r) => $r->record->overBlack, $rows)))
        ->not->toBe([]);
});

it('corrects a camera by pencils whose colours are known', function () {
    $filled = filledSheet();
    $lively = new Shot(saturation: 1.35, contrast: 1.1);
    $known = array_slice(chartPencils(), 0, 12);
    $middle = static fn (array $off): float => $off[intdiv(count($off), 2)];
    expect($middle(chartErrors($filled, chartRead($filled, $lively, known: $known))))->toBeLessThan(
        0.8 * $middle(chartErrors($filled, chartRead($filled, $lively))),
    );
});

it('lays out sheets of every size that give themselves back', function (string $size, int $count, int $pages) {
    $sheet = ChartSheet::of(array_map(strval(...), range(101, 100 + $count)), $size);
    $again = ChartSheet::read(json_encode($sheet->toArray(), JSON_THROW_ON_ERROR));
    expect($sheet->pages)->toHaveCount($pages)->and($again)->toEqual($sheet)->and($again->bits(0))->toBe($sheet->bits(0));
    foreach ($sheet->pages as $i => $boxes) {
        expect(array_sum(array_map(intval(...), $sheet->bits($i))) % 2)->toBe(1);
        foreach ($boxes as $box) {
            expect($box->x)
                ->toBeGreaterThan(12)
                ->and($box->x + $box->width)
                ->toBeLessThan($sheet->width - 6)
                ->and($box->y + $box->height)
                ->toBeLessThan($sheet->height - 18);
        }
    }
})->with([['a4', 24, 1], ['a4', 60, 3], ['a5', 8, 1], ['letter', 60, 3]]);

it('reads a list of pencils as it is written', function () {
    $of = static fn (string $text): array => array_map(
        static fn (SheetPencil $p): array => [$p->id(), $p->name],
        SheetPencil::listed($text, 'Slipway'),
    );
    expect($of("711 Dry reed\n\n 741  Slate, wet\n"))
        ->toBe([['Slipway/711', 'Dry reed'], ['Slipway/741', 'Slate, wet']])
        ->and($of('701, 702; F3'))
        ->toBe([['Slipway/701', ''], ['Slipway/702', ''], ['Slipway/F3', '']])
        ->and(SheetPencil::listed('9', '')[0]->id())
        ->toBe('9');
});

it('refuses lists and layouts that are none', function () {
    $refused = 0;
    foreach (
        [
            fn () => SheetPencil::listed("711\n711 again", ''),
            fn () => SheetPencil::listed(" \n", ''),
            fn () => SheetPencil::listed(implode("\n", range(1, 61)), ''),
            fn () => ChartSheet::of(['1'], 'b7'),
            fn () => ChartSheet::read('{"sheet": {"width": 1}, "pages": [{"boxes": [{"pencil": "1"}]}]}'),
            fn () => ChartSheet::read('[]'),
        ] as $make
    ) {
        try {
            $make();
        } catch (CoreError $error) {
            $refused += preg_match('/\w{3}.*\./', $error->getMessage());
        }
    }
    expect($refused)->toBe(6);
});
