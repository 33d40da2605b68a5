<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Adaptation;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\Balance;
use KnottyPrism\Core\Drawer\ColourPath;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Drawer\Equivalent;
use KnottyPrism\Core\Drawer\Equivalents;
use KnottyPrism\Core\Drawer\Portrait;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Drawer\Threes;
use KnottyPrism\Core\Formats\Drawers\Cgats;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Drawers\DrawerFormat;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/** @return list<Pencil> the demo's, or those of one of its lines */
function pencilsOf(string $file = 'drawer'): array
{
    static $known = [];
    $known[$file] ??= DrawerFile::drawer((string) file_get_contents(dirname(__DIR__, 3)."/demo/$file.csv"))->pencils;

    return array_values(array_filter($known[$file], static fn (Pencil $p): bool => ! $p->isBlender()));
}

/** @return list<Portrait> */
function portraitsOf(string $file = 'drawer'): array
{
    return array_map(static fn (Pencil $p): Portrait => new Portrait($p), pencilsOf($file));
}

/** @param  list<Lab>  $colours
 * @param  list<int>  $way
 */
function wayLength(array $colours, array $way): float
{
    $sum = 0.0;
    for ($i = 1; $i < count($way); $i++) {
        $sum += $colours[$way[$i - 1]]->deltaE00($colours[$way[$i]]);
    }

    return $sum;
}

/** @return list<Lab> */
function randomColours(int $count, int $seed): array
{
    mt_srand($seed);

    return array_map(static fn (): Lab => new Lab(mt_rand(15, 95), mt_rand(-60, 60), mt_rand(-60, 60)), range(1, $count));
}

it('finds the shortest way of all through a few colours', function (int $count, int $seed) {
    $colours = randomColours($count, $seed);
    $best = INF;
    $try = static function (array $way, array $left) use (&$try, &$best, $colours): void {
        if ($left === []) {
            $best = min($best, wayLength($colours, $way));
        }
        foreach ($left as $k => $next) {
            $rest = $left;
            unset($rest[$k]);
            $try([...$way, $next], $rest);
        }
    };
    $try([], range(0, $count - 1));
    $way = ColourPath::through($colours);
    expect(wayLength($colours, $way))->toEqualWithDelta($best, 1e-9);
    sort($way);
    expect($way)->toBe(range(0, $count - 1));
})->with([[3, 1], [6, 2], [7, 3], [7, 4]]);

it('visits each of many colours once, and no reversed stretch would shorten the way', function (int $count) {
    $colours = randomColours($count, $count);
    $way = ColourPath::through($colours);
    $length = wayLength($colours, $way);
    $sorted = $way;
    sort($sorted);
    expect($sorted)->toBe(range(0, $count - 1))->and(ColourPath::through($colours))->toBe($way);
    mt_srand(8);
    for ($n = 0; $n < 300; $n++) {
        [$i, $j] = [mt_rand(0, $count - 2), mt_rand(1, $count - 1)];
        if ($i < $j) {
            $turned = [...array_slice($way, 0, $i), ...array_reverse(array_slice($way, $i, $j - $i)), ...array_slice($way, $j)];
            expect(wayLength($colours, $turned))->toBeGreaterThan($length - 1e-6);
        }
    }
})->with([11, 30]);

it('equals the exact optimum on eleven colours that it can no longer search exactly', function () {
    // A line of colours in a row: the only shortest way is along it.
    $row = array_map(static fn (int $i): Lab => new Lab(10 + 7 * $i, 20, 10), range(0, 11));
    $shuffled = [5, 0, 9, 2, 11, 7, 4, 1, 10, 6, 3, 8];
    $way = ColourPath::through(array_map(static fn (int $i): Lab => $row[$i], $shuffled));
    $along = array_map(static fn (int $i): int => $shuffled[$i], $way);
    expect($along[0] === 0 ? $along : array_reverse($along))->toBe(range(0, 11));
});

it('lays pencils so that each shifts gradually to the next, browns and greys in runs of their own', function () {
    $order = DrawerOrder::of(pencilsOf());
    $byHue = portraitsOf();
    usort(
        $byHue,
        static fn (Portrait $a, Portrait $b): int => Oklch::ofLab($a->heavy)->hueDegrees <=> Oklch::ofLab($b->heavy)->hueDegrees,
    );
    $naive = wayLength(array_map(static fn (Portrait $p): Lab => $p->heavy, $byHue), array_keys($byHue)) / (count($byHue) - 1);
    expect($order->mean())
        ->toBeLessThan(0.85 * $naive)
        ->and($order->portraits)
        ->toHaveCount(count($byHue));
    $runs = array_map(
        static fn (Portrait $p): string => $p->reading->family->base === 'brown'
            ? 'brown'
            : ($p->reading->family->isChromatic()
                ? 'ring'
                : 'grey'),
        $order->portraits,
    );
    $changes = 0;
    for ($i = 1; $i < count($runs); $i++) {
        $changes += $runs[$i] === $runs[$i - 1] ? 0 : 1;
    }
    expect($changes)->toBeLessThanOrEqual(2);
    [$after, $largest] = $order->largest();
    expect($largest)->toBe(max($order->steps))->and($order->steps[$after])->toBe($largest);
});

it('lays them by number, by value, and by family from dark to light, too', function () {
    $numbers = array_map(static fn (Portrait $p): string => $p->pencil->id(), DrawerOrder::of(pencilsOf(), 'number')->portraits);
    $sorted = $numbers;
    natsort($sorted);
    expect($numbers)->toBe(array_values($sorted));
    $lightness = array_map(static fn (Portrait $p): float => $p->heavy->l, DrawerOrder::of(pencilsOf(), 'value')->portraits);
    $down = $lightness;
    rsort($down);
    expect($lightness)->toBe($down);
    $bases = array_map(static fn (Portrait $p): string => $p->reading->family->base, DrawerOrder::of(pencilsOf(), 'family')->portraits);
    $changes = count(array_filter(array_keys($bases), static fn (int $i): bool => $i > 0 && $bases[$i] !== $bases[$i - 1]));
    expect($changes)
        ->toBe(count(array_unique($bases)) - 1)
        ->and(DrawerOrder::of([])->mean())
        ->toBe(0.0);
});

it('says what a drawer lacks, what is there twice, and when it is crowded', function () {
    $of = static fn (string ...$hexes): Balance => new Balance(
        array_map(
            static fn (string $hex, int $i): Portrait => new Portrait(
                KnottyPrism\Core\Medium\Swatches\PencilFit::of(new PencilRecord('', "n$i", '', $hex)),
            ),
            $hexes,
            array_keys($hexes),
        ),
    );
    $reds = $of('#b0201c', '#b8301c', '#8c1c18', '#c03a34', '#d04a40', '#e08a84', '#701410');
    expect($reds->missing)
        ->toContain('a light blue')
        ->toContain('a dark green')
        ->toContain('a black')
        ->toContain('a cool grey')
        ->toContain('an opaque white')
        ->not->toContain('a dark red')
        ->not->toContain('a dark yellow')
        ->and($reds->crowded)
        ->toBe(['red'])
        ->and($reds->words())
        ->toContain('7 pencils: few');
    expect($of('#3c6e9a', '#3d6f9b', '#9a3c6e')->twins)->toHaveCount(1);
    $both = new Balance([...portraitsOf('lines/slipway'), ...portraitsOf('lines/foghorn')]);
    expect(array_diff($both->missing, ['a brown leaning yellow']))->toBe([]);
    expect($both->words())->toContain('more than anyone can memorise');
    foreach ($both->twins as [$one, $other, $apart]) {
        expect($one->heavy->deltaE00($other->heavy))->toBe($apart)->and($apart)->toBeLessThan(2.0);
    }
});

it('finds for a pencil the nearest of another line, and says when none is near', function () {
    $rows = Equivalents::table(pencilsOf('lines/foghorn'), pencilsOf('lines/slipway'));
    expect(count($rows))
        ->toBe(count(pencilsOf('lines/foghorn')))
        ->and(array_filter($rows, static fn (Equivalent $r): bool => ! $r->isNear()))
        ->not->toBeEmpty()
        ->and(array_filter($rows, static fn (Equivalent $r): bool => $r->isNear()))
        ->not->toBeEmpty();
    $others = portraitsOf('lines/slipway');
    foreach (array_slice($rows, 0, 6) as $row) {
        // Nothing in the other line is nearer in both swatches.
        foreach ($others as $other) {
            expect(
                $row->of->heavy->deltaE00($other->heavy) < $row->heavy && $row->of->light->deltaE00($other->light) < $row->light,
            )->toBeFalse();
        }
        expect($row->isNear())->toBe($row->heavy <= Equivalents::NEAR);
    }
});

it('finds threes that run from light to dark in even steps and one hue', function () {
    $all = [...portraitsOf('lines/slipway'), ...portraitsOf('lines/foghorn')];
    $found = 0;
    foreach (array_slice($all, 0, 40) as $base) {
        foreach (Threes::around($base, $all, 1) as $three) {
            [$light, $dark, $up, $down] = [$three->light, $three->dark, $three->lightStep, $three->darkStep];
            $found++;
            expect($light->heavy->l)
                ->toBeGreaterThan($base->heavy->l)
                ->and($dark->heavy->l)
                ->toBeLessThan($base->heavy->l)
                ->and(max($up, $down))
                ->toBeLessThan(35.0);
        }
    }
    expect($found)->toBeGreaterThan(20);
});

it('says whether a pencil hides, and what a light hand makes of it', function () {
    $white = array_values(array_filter(portraitsOf('lines/foghorn'), static fn (Portrait $p): bool => $p->pencil->scattering >= 1.0))[0];
    $hiding = array_map(static fn (Portrait $p): float => $p->hiding(), portraitsOf());
    expect($white->hidingWords())
        ->toBe('opaque')
        ->and(min($hiding))
        ->toBeLessThan(0.33)
        ->and(max($hiding))
        ->toBeLessThan(1.01);
    foreach (portraitsOf() as $p) {
        expect($p->undertone())->toMatch('/^(warmer|cooler) by \d+$|^the same colour, lighter$/');
    }
});

it('gives back the same drawer after it was written', function (string $kind) {
    $rows = array_map(static fn (Pencil $p): ShelfRow => ShelfRow::of($p->record), pencilsOf('lines/foghorn'));
    $rows[0] = new ShelfRow(
        new PencilRecord('Foghorn', 'F01', 'Lamp', '#f0e0a0', owned: false),
        new StockNote(Stock::Wanted, null, true, ['12', 'Old "rust", flaked'], "for the harbour,\nnot the sky"),
    );
    $rows[1] = new ShelfRow(new PencilRecord('', '7', 'Short', '#a04020'), new StockNote(Stock::Low, 41.5));
    $back = DrawerFile::rows(DrawerFormat::from($kind)->write('Foghorn', $rows));
    if ($kind === 'csv' || $kind === 'json') {
        expect($back)->toEqual($rows);
    } else {
        // These hold a number, a name and a colour.
        $short = static fn (array $all): array => array_map(static fn (ShelfRow $r): array => [$r->record->number, $r->record->name], $all);
        expect($short($back))->toBe($short($rows));
        foreach ($rows as $i => $row) {
            expect(Lab::ofHex($back[$i]->record->heavy)->deltaE00(Lab::ofHex($row->record->heavy)))->toBeLessThan(
                $kind === 'spectral' ? 0.5 : 0.01,
            );
        }
    }
})->with(['csv', 'json', 'gpl', 'cgats', 'spectral']);

it('reads reflectances as they were measured, in hundredths or as shares, and names every problem', function () {
    $fields = implode(' ', array_map(static fn (int $nm): string => "SPECTRAL_NM$nm", range(400, 700, 10)));
    $file = static fn (string ...$rows): string => "CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID $fields\nEND_DATA_FORMAT\nBEGIN_DATA\n".
        implode("\n", $rows).
        "\nEND_DATA\n";
    $grey = static fn (string $id, float $value): string => $id.' '.implode(' ', array_fill(0, 31, (string) $value));
    $read = Cgats::it()->read($file($grey('12', 18.0), str_replace('A 13', '"A 13"', $grey('A 13', 18.0))))->rows;
    expect(
        array_column(array_values(array_map(static fn (ShelfRow $r): array => [$r->record->number, $r->record->heavy], $read)), 0),
    )->toBe(['12', 'A-13']);
    foreach (array_map(static fn (ShelfRow $r): PencilRecord => $r->record, $read) as $record) {
        expect(Lab::ofHex($record->heavy)->l)
            ->toEqualWithDelta(49.5, 0.5)
            ->and(Lab::ofHex($record->heavy)->chroma())
            ->toBeLessThan(0.6);
    }
    expect(Lab::ofHex(DrawerFile::records($file($grey('1', 0.18)))[0]->heavy)->l)->toEqualWithDelta(49.5, 0.5);
    expect(fn () => DrawerFile::rows($file('7 0.2 0.3')))
        ->toBeRefused('line 6: it has 3 values, but the format names 32')
        ->and(fn () => DrawerFile::rows(str_replace('18', 'much', $file($grey('1', 18)))))
        ->toBeRefused('is no number')
        ->and(fn () => Cgats::it()->read("CGATS.17\nBEGIN_DATA_FORMAT\nSAMPLE_ID RGB_R\nEND_DATA_FORMAT\n"))
        ->toBeRefused('LAB_L')
        ->and(fn () => DrawerFile::rows("GIMP Palette\n300 2 3 too much\n"))
        ->toBeRefused('line 2');
});

it('changes whites there and back without loss, white staying white', function () {
    foreach (['#ffffff', '#c9bda0', '#20304a', '#b8442c', '#5f8f86'] as $hex) {
        $lab = Lab::ofHex($hex);
        expect(Adaptation::fromD50(...Adaptation::toD50($lab))->deltaE00($lab))->toBeLessThan(1e-6);
    }
    expect(Adaptation::toD50(new Lab(100, 0, 0)))->toEqualWithDelta([100.0, 0.0, 0.0], 1e-4);
});
