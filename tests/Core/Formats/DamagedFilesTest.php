<?php

declare(strict_types=1);

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Drawers\DrawerFormat;
use KnottyPrism\Core\Formats\PaperJson;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Opacity;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Swatches\PencilFit;

/** A text with one to three wounds: cut, doubled, scrambled, or with something in it that does not belong there. */
function wounded(string $text): string
{
    $foreign = [
        '"',
        ',',
        "\n",
        "\t",
        '{',
        '}',
        '[',
        ']',
        ':',
        '#',
        '#12345',
        '-1',
        '1e400',
        'NaN',
        'null',
        '255 255',
        'END_DATA',
        'BEGIN_DATA',
        "\0",
        "\xC3",
        "\u{FEFF}",
        '🖍',
        'NUMBER_OF_SETS 9',
        str_repeat('9', 40),
    ];
    for ($wounds = mt_rand(1, 3); $wounds > 0; $wounds--) {
        $at = mt_rand(0, max(0, strlen($text) - 1));
        $length = mt_rand(1, 24);
        $text = match (mt_rand(0, 4)) {
            0 => substr($text, 0, $at),
            1 => substr_replace($text, '', $at, $length),
            2 => substr_replace($text, str_repeat(substr($text, $at, $length), 2), $at, $length),
            3 => substr_replace($text, strrev(substr($text, $at, $length)), $at, $length),
            default => substr_replace($text, $foreign[mt_rand(0, count($foreign) - 1)], $at, mt_rand(0, 3)),
        };
    }

    return $text;
}

/** What comes of reading a text: "read", or the class of the refusal; any warning or other fault is thrown. */
function outcome(Closure $read): string
{
    set_error_handler(
        static fn (int $level, string $message): bool => (error_reporting() & $level) !== 0 &&
            throw new ErrorException($message, severity: $level),
    );
    try {
        $read();

        return 'read';
    } catch (CoreError $refusal) {
        expect(trim($refusal->getMessage()))->not->toBe('');

        return $refusal::class;
    } finally {
        restore_error_handler();
    }
}

/** @return list<ShelfRow> every column filled somewhere */
function fullRows(): array
{
    return [
        new ShelfRow(
            new PencilRecord(
                'Foghorn',
                'F01',
                'Lamp, lit "low"',
                '#f0e0a0',
                Binder::Wax,
                '#faf0d0',
                '#807860',
                Opacity::Semi,
                0.9,
                'good',
                true,
            ),
            new StockNote(Stock::Low, 41.5, true, ['12', 'Kelp'], "for the harbour,\nnot the sky"),
        ),
        new ShelfRow(new PencilRecord('', '7', 'Short', '#a04020', owned: false), new StockNote(Stock::Wanted)),
        new ShelfRow(new PencilRecord('Slipway', '745', 'Øre', '#202428', Binder::Oil), new StockNote(Stock::Owned)),
    ];
}

it('reads a damaged drawer file in what is sound of it, or says what is wrong, and never fails otherwise', function (
    string $kind,
    int $seed,
) {
    mt_srand($seed);
    $whole = DrawerFormat::from($kind)->write('A drawer', fullRows());
    $outcomes = [];
    for ($n = 0; $n < 150; $n++) {
        $text = wounded($whole);
        $outcomes[] = outcome(static function () use ($text): void {
            $reading = DrawerFile::reading($text);
            foreach ($reading->rows as $row) {
                // What is taken in can be written, and read again as the same.
                $again = DrawerFile::rows(DrawerFormat::from('json')->write('again', [$row]));
                expect($again)->toEqual([$row]);
            }
            expect(count($reading->rows) + count($reading->problems))->toBeGreaterThan(0);
        });
    }
    // Neither may be all: the wounds are small, but real.
    expect($outcomes)
        ->toContain('read')
        ->and(count(array_filter($outcomes, static fn (string $o): bool => $o !== 'read')))
        ->toBeGreaterThan(0);
})
    ->with(DrawerFormat::values())
    ->with([3, 71]);

it('reads a damaged paper or stack, or says what is wrong', function () {
    mt_srand(9);
    $drawer = new Drawer(array_map(static fn (ShelfRow $r) => PencilFit::of($r->record), fullRows()));
    $paper = (string) json_encode(['name' => 'my paper', 'colour' => '#f0ede4', 'tooth' => [0.3, 0.25, 0.2, 0.12, 0.08, 0.05]]);
    $stack = 'Foghorn/F01@0.55, Slipway/745@0.35,7@1,solvent';
    $outcomes = [];
    for ($n = 0; $n < 400; $n++) {
        $outcomes[] = outcome(static fn () => PaperJson::read(wounded($paper)));
        $outcomes[] = outcome(static function () use ($stack, $drawer): void {
            $read = StackText::read(wounded($stack), $drawer);
            expect(StackText::read($read->text(), $drawer)->text())->toBe($read->text());
        });
    }
    expect(array_count_values($outcomes)['read'] ?? 0)
        ->toBeGreaterThan(20)
        ->toBeLessThan(700);
});
