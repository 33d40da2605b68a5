<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Drawer\MixedOrder;
use KnottyPrism\Core\Drawer\MixingChart;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Drawer\Reach\Reach;
use KnottyPrism\Core\Drawer\Reach\ReachSurvey;
use KnottyPrism\Core\Drawer\Selection;
use KnottyPrism\Core\Drawer\Stock\NumberRange;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Drawer\TrayMap;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Import\ImportChoices;
use KnottyPrism\Core\Formats\Import\ImportPlan;
use KnottyPrism\Core\Formats\Import\RowMerge;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;

function pencilOf(string $number, string $hex, bool $owned = true): Pencil
{
    return PencilFit::of(new PencilRecord('', $number, $number, $hex, owned: $owned));
}

function rowOf(string $text): ShelfRow
{
    return DrawerFile::rows("number,heavy,name,binder,light,stock,formerly,notes\n$text\n")[0];
}

it('reads runs of numbers as one writes them on a list', function (string $text, array $in, array $out) {
    $range = NumberRange::of($text);
    foreach ($in as $number) {
        expect($range->holds((string) $number))->toBeTrue("$number is in $text");
    }
    foreach ($out as $number) {
        expect($range->holds((string) $number))->toBeFalse("$number is not in $text");
    }
})->with([
    ['601-603', [601, 602, 603], [600, 604, 'F601', '6010']],
    ['601 – 603, 610', ['601', '610'], [604, 609]],
    ['F02-12; 7', ['F02', 'f12', 'F9', 7], ['F1', 'F13', '07a', 2]],
    ['3 to 5', [3, 4, 5], [6]],
]);

it('refuses what is no run of numbers', function (string $text) {
    expect(fn () => NumberRange::of($text))->toBeRefused('601-624');
})->with(['', 'all', '9-3', '1-2-3', 'F2-G9']);

it('tells from a length that a pencil runs low, and forgets the length of one that is gone', function () {
    $note = (new StockNote())->withLength(StockNote::LOW_MM);
    expect($note->state)
        ->toBe(Stock::Low)
        ->and($note->withLength(120)->state)
        ->toBe(Stock::Owned)
        ->and($note->withState(Stock::Wanted)->lengthLeft)
        ->toBeNull()
        ->and((new StockNote(Stock::Low, 40, true, ['12', 'Rust']))->words())
        ->toBe('running low, 40 mm left; no longer made; used to be 12 and Rust')
        ->and(fn () => new StockNote(lengthLeft: 176.0))
        ->toBeRefused('between 0 and 175');
});

it('merges two rows of one pencil without losing what either says, and names where they differ', function () {
    $first = rowOf('1,#112233,,oil,,owned,12,');
    $second = rowOf('1,#445566,Rust,wax,#aabbcc,low,,for hulls');
    $both = RowMerge::of($first, $second);
    expect([
        $both->record->heavy,
        $both->record->name,
        $both->record->binder?->value,
        $both->record->light,
        $both->stock->formerly,
        $both->stock->notes,
    ])
        ->toBe(['#112233', 'Rust', 'oil', '#aabbcc', ['12'], 'for hulls'])
        ->and(RowMerge::differences($first, $second))
        ->toBe(['binder', 'heavy', 'stock'])
        ->and(RowMerge::of($first, $first))
        ->toEqual($first);
});

it('says what a drawer file would do under each choice, and does nothing the second time', function () {
    $known = [rowOf('1,#112233,one,,,owned,,mine'), rowOf('2,#223344,two,,,,,'), rowOf('9,#99aabb,,,,wanted,,')];
    $reading = DrawerFile::reading("number,heavy,name\n1,#aa2233,uno\n2,#223344,two\n3,#334455,three\n3,#334455,\nbad row,#1,x\n");
    $counts = static fn (ImportPlan $p): array => [count($p->new), count($p->changed), count($p->same), count($p->dropped)];
    $renewed = ImportPlan::of($reading, $known, new ImportChoices());
    expect($counts($renewed))
        ->toBe([1, 1, 1, 0])
        ->and($renewed->changed[2]->record->heavy)
        ->toBe('#aa2233')
        ->and($renewed->changed[2]->stock->notes)
        ->toBe('mine')
        ->and($reading->problems)
        ->toHaveCount(2)
        ->and($counts(ImportPlan::of($reading, $known, new ImportChoices('fill'))))
        ->toBe([1, 0, 2, 0])
        ->and($counts(ImportPlan::of($reading, $known, new ImportChoices('keep', 'first', 'not owned'))))
        ->toBe([1, 0, 2, 0])
        ->and(
            $counts(
                ImportPlan::of(DrawerFile::reading("number,heavy\n1,#112233\n"), $known, new ImportChoices('keep', 'first', 'not owned')),
            ),
        )
        ->toBe([0, 0, 1, 1]);
    $after = [...$renewed->written(), $known[1], $known[2]];
    expect($counts(ImportPlan::of($reading, $after, new ImportChoices())))->toBe([0, 0, 3, 0]);
});

it('measures the solid that colours reach, whatever order they come in, and never shrinks', function () {
    mt_srand(4);
    $colours = array_map(static fn (): Lab => new Lab(mt_rand(0, 100), mt_rand(-80, 80), mt_rand(-80, 80)), range(1, 200));
    [$forward, $backward] = [new Reach(), new Reach()];
    $last = 0.0;
    foreach ($colours as $lab) {
        $forward->add($lab);
        expect($forward->volume())->toBeGreaterThanOrEqual($last);
        $last = $forward->volume();
    }
    array_map($backward->add(...), array_reverse($colours));
    expect($backward->volume())
        ->toEqualWithDelta($last, 1e-6)
        ->and($forward->with($backward)->volume())
        ->toEqualWithDelta($last, 1e-6)
        ->and((new Reach())->volume())
        ->toBe(0.0);
    // A cylinder of C* 50 all the way up has the volume of one.
    $cylinder = new Reach();
    for ($l = 2.5; $l < 100; $l += 5) {
        for ($h = 5; $h < 360; $h += 10) {
            $cylinder->add(new Lab($l, 50 * cos(deg2rad($h)), 50 * sin(deg2rad($h))));
        }
    }
    expect($cylinder->volume())->toEqualWithDelta(M_PI * 50 ** 2 * 100, 1.0);
    // Seen from above it is a disc, with a spike where one dark colour reaches farther.
    $cylinder->add(new Lab(12, 0, 80));
    $outline = $cylinder->outline();
    expect($outline[9])->toEqualWithDelta(80, 1e-6);
    unset($outline[9]);
    expect($outline)->toHaveCount(35)->each->toEqualWithDelta(50, 1e-6);
});

it('says which pencils would add most to what a drawer reaches', function () {
    $owned = [pencilOf('1', '#c03028'), pencilOf('2', '#f0d020'), pencilOf('3', '#202024')];
    $survey = new ReachSurvey(
        [...$owned, pencilOf('rust', '#b83a2c', false), pencilOf('sea', '#1850b0', false), pencilOf('grass', '#2f9040', false)],
        Paper::whiteMedium(),
    );
    $names = array_map(static fn (Purchase $p): string => $p->pencil->record->number, $survey->purchases);
    // The green and the blue open half the ring; a second red adds next to nothing.
    expect(array_slice($names, 0, 2))
        ->toEqualCanonicalizing(['sea', 'grass'])
        ->and($survey->share())
        ->toBeGreaterThan(0.1)
        ->toBeLessThan(0.7);
    $gains = array_column($survey->purchases, 'gain');
    expect($gains[0])
        ->toBeGreaterThan($gains[1])
        ->and($survey->share() + array_sum($gains))
        ->toBeLessThanOrEqual(1.0 + 1e-9);
    expect((new ReachSurvey($owned, Paper::whiteMedium()))->share())
        ->toEqualWithDelta(1.0, 1e-9)
        ->and((new ReachSurvey([], Paper::whiteMedium()))->share())
        ->toBe(0.0);
});

it('takes of very many pencils those that stand for all, or those nearest to one', function () {
    $greys = array_map(
        static fn (int $i): Pencil => pencilOf("g$i", sprintf('#%02x%02x%02x', 100 + $i, 100 + $i, 100 + $i)),
        range(0, 20),
    );
    $ends = [pencilOf('white', '#fafafa'), pencilOf('red', '#d02020'), pencilOf('black', '#101010')];
    $numbers = static fn (array $pencils): array => array_map(static fn (Pencil $p): string => $p->record->number, $pencils);
    $some = $numbers(Selection::spread([...$greys, ...$ends], 4));
    expect($some)
        ->toContain('white')
        ->toContain('red')
        ->toContain('black')
        ->toHaveCount(4)
        ->and($numbers(Selection::near($greys[10], [...$ends, ...$greys], 3)))
        ->toEqualCanonicalizing(['g9', 'g10', 'g11'])
        ->and(Selection::spread($ends, 3))
        ->toBe($ends)
        ->and(Selection::near($greys[0], $ends, 5))
        ->toBe($ends)
        ->and(Selection::spread([], 3))
        ->toBe([]);
});

it('mixes every two pencils both ways round, and three in every order', function () {
    $pencils = [pencilOf('1', '#c03028'), pencilOf('2', '#f0d020'), pencilOf('3', '#2850a0')];
    $chart = MixingChart::pairs($pencils, Paper::whiteMedium(), Pressure::Medium, Pressure::Firm);
    $lab = static fn ($sheet): Lab => Lab::ofReflectance($sheet->meanReflectance());
    foreach ([[0, 1], [0, 2], [1, 2]] as [$i, $j]) {
        expect($lab($chart[$i][$j])->deltaE00($lab($chart[$j][$i])))->toBeGreaterThan(1.0);
    }
    $orders = MixingChart::orders($pencils, Paper::whiteMedium(), Pressure::Medium);
    expect(
        array_unique(
            array_map(
                static fn (MixedOrder $o): string => implode(array_map(static fn (Pencil $p): string => $p->record->number, $o->pencils)),
                $orders,
            ),
        ),
    )
        ->toHaveCount(6)
        ->and(fn () => MixingChart::pairs([$pencils[0]], Paper::whiteMedium(), Pressure::Medium, Pressure::Medium))
        ->toBeRefused('between 2 and 16')
        ->and(fn () => MixingChart::orders([$pencils[0]], Paper::whiteMedium(), Pressure::Medium))
        ->toBeRefused('three');
});

it('fills trays row by row and leaves the last slots empty', function () {
    $order = DrawerOrder::of(
        array_map(static fn (int $i): Pencil => pencilOf((string) $i, sprintf('#%02x4040', 40 * $i)), range(1, 5)),
        'number',
    );
    $map = new TrayMap($order, 2, 2);
    $numbers = array_map(
        static fn (array $tray): array => array_map(
            static fn (array $row): array => array_map(static fn ($p): ?string => $p?->pencil->record->number, $row),
            $tray,
        ),
        $map->trays,
    );
    expect($numbers)
        ->toBe([[['1', '2'], ['3', '4']], [['5', null], [null, null]]])
        ->and(fn () => new TrayMap($order, 0, 4))
        ->toBeRefused('rows');
});

it('brightens a green with yellow rather than white, and a grey with nothing', function () {
    $green = pencilOf('green', '#2f7040');
    $grey = pencilOf('grey', '#808080');
    $table = new ComplementTable(
        [$green, $grey, pencilOf('yellow', '#f4e040'), pencilOf('white', '#fbfaf6'), pencilOf('red', '#c03028')],
        Paper::whiteMedium(),
    );
    expect($table->brightenerOf($green)?->pencil->record->number)
        ->toBe('yellow')
        ->and($table->brightenerOf($grey))
        ->toBeNull();
});

it('knows eighteen places on the ring, and none for what stands apart', function () {
    expect(Family::ring())->toHaveCount(18)->and(array_unique(Family::ring()))->toHaveCount(18);
    $places = [];
    for ($h = 0; $h < 360; $h += 2) {
        $family = Family::of(new Lab(70, 60 * cos(deg2rad($h)), 60 * sin(deg2rad($h))));
        $place = $family->ringPlace();
        expect(Family::ring()[$place])->toBe($family->words());
        $places[$place] = true;
    }
    expect(count($places))
        ->toBeGreaterThan(14)
        ->and(Family::of(new Lab(50, 0, 0))->ringPlace())
        ->toBeNull()
        ->and(Family::of(Lab::ofHex('#5a3a20'))->ringPlace())
        ->toBeNull();
});
