<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Opacity;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/** Turns the fields of one row, all text, into a pencil record, collecting every problem with its row and column. */
final class RecordFields
{
    public const COLUMNS = [
        'line',
        'number',
        'name',
        'binder',
        'heavy',
        'light',
        'over_black',
        'opacity',
        'laydown',
        'lightfast',
        'owned',
        'stock',
        'length_left',
        'discontinued',
        'formerly',
        'notes',
    ];

    public const REQUIRED = ['number', 'heavy'];

    /** @var list<string> */
    public array $problems = [];

    /** @return array<string, string|float|bool|null> by column */
    public static function of(ShelfRow $row): array
    {
        [$r, $stock] = [$row->record, $row->stock];

        return [
            'line' => $r->line,
            'number' => $r->number,
            'name' => $r->name,
            'binder' => $r->binder?->value,
            'heavy' => $r->heavy,
            'light' => $r->light,
            'over_black' => $r->overBlack,
            'opacity' => $r->opacity?->value,
            'laydown' => $r->laydown,
            'lightfast' => $r->lightfast,
            'owned' => $r->owned,
            'stock' => $stock->state->value,
            'length_left' => $stock->lengthLeft,
            'discontinued' => $stock->discontinued,
            'formerly' => implode('; ', $stock->formerly),
            'notes' => $stock->notes,
        ];
    }

    /** @param  array<string, string>  $fields */
    public function record(int $row, array $fields): ?ShelfRow
    {
        $before = count($this->problems);
        $take = function (string $column, callable $read) use ($row, $fields): mixed {
            $text = trim($fields[$column] ?? '');
            if ($text === '') {
                return null;
            }
            try {
                return $read($text);
            } catch (CoreError $error) {
                $this->problems[] = sprintf('row %d, column %s: %s', $row, $column, $error->getMessage());

                return null;
            }
        };
        $this->checkTexts($row, $fields);
        $values = [
            'heavy' => $take('heavy', self::colour(...)),
            'binder' => $take('binder', static fn (string $t): Binder => self::choice(Binder::class, 'the binder', $t)),
            'light' => $take('light', self::colour(...)),
            'overBlack' => $take('over_black', self::colour(...)),
            'opacity' => $take('opacity', static fn (string $t): Opacity => self::choice(Opacity::class, 'the opacity', $t)),
            'laydown' => $take('laydown', self::laydown(...)),
            'owned' => $take('owned', static fn (string $t): bool => self::yesNo('owned', $t)),
            'stock' => $take('stock', static fn (string $t): Stock => self::choice(Stock::class, 'the stock', $t)),
            'length' => $take('length_left', self::length(...)),
            'discontinued' => $take('discontinued', static fn (string $t): bool => self::yesNo('discontinued', $t)) ?? false,
        ];
        $owned = $values['stock'] instanceof Stock ? $values['stock']->isOwned() : $values['owned'] ?? true;
        if ($values['owned'] !== null && $values['owned'] !== $owned) {
            $this->problems[] = sprintf(
                'row %d, column stock: it says "%s" where the column owned says "%s".',
                $row,
                $values['stock']->value,
                $values['owned'] ? 'yes' : 'no',
            );
        }
        if (count($this->problems) > $before) {
            return null;
        }

        $record = new PencilRecord(
            trim($fields['line'] ?? ''),
            trim($fields['number'] ?? ''),
            trim($fields['name'] ?? ''),
            $values['heavy'],
            $values['binder'],
            $values['light'],
            $values['overBlack'],
            $values['opacity'],
            $values['laydown'],
            trim($fields['lightfast'] ?? '') ?: null,
            $owned,
        );
        $formerly = array_values(
            array_filter(array_map(trim(...), explode(';', $fields['formerly'] ?? '')), static fn (string $f): bool => $f !== ''),
        );

        return new ShelfRow(
            $record,
            new StockNote(
                $values['stock'] ?? ($owned ? Stock::Owned : Stock::Absent),
                $values['length'],
                $values['discontinued'],
                $formerly,
                trim($fields['notes'] ?? ''),
            ),
        );
    }

    /** @param  array<string, string>  $fields */
    private function checkTexts(int $row, array $fields): void
    {
        foreach (self::REQUIRED as $column) {
            if (trim($fields[$column] ?? '') === '') {
                $this->problems[] = sprintf('row %d, column %s: it is empty; every pencil needs one.', $row, $column);
            }
        }
        $number = trim($fields['number'] ?? '');
        if (preg_match('~[@,/\s]~', $number) === 1) {
            $this->problems[] = sprintf(
                'row %d, column number: a number has no space, comma, @ or /; received "%s".',
                $row,
                UnreadableText::shown($number),
            );
        }
        // Stacks are written with commas between their passes.
        if (str_contains($fields['line'] ?? '', ',')) {
            $this->problems[] = sprintf(
                'row %d, column line: a line has no comma; received "%s".',
                $row,
                UnreadableText::shown(trim($fields['line'])),
            );
        }
    }

    private static function colour(string $text): string
    {
        return Srgb::ofHex($text)->hex();
    }

    private static function laydown(string $text): float
    {
        return OutOfRange::check('laydown', self::figure($text, 'the laydown', 'a figure from 0.1 to 3'), 0.1, 3);
    }

    private static function length(string $text): float
    {
        return OutOfRange::check(
            'the length left in millimetres',
            self::figure($text, 'the length left', 'a figure in millimetres'),
            0,
            StockNote::FULL_MM,
        );
    }

    /** A figure, with a point or a comma before its decimals. */
    private static function figure(string $text, string $what, string $wanted): float
    {
        $figure = str_replace(',', '.', $text);

        return is_numeric($figure) ? (float) $figure : throw UnreadableText::choice($what, [$wanted], $text);
    }

    private static function yesNo(string $column, string $text): bool
    {
        return match (mb_strtolower($text)) {
            'yes', 'y', 'true', '1' => true,
            'no', 'n', 'false', '0' => false,
            default => throw UnreadableText::choice($column, ['yes', 'no'], $text),
        };
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    private static function choice(string $enum, string $name, string $text): \BackedEnum
    {
        return $enum::tryFrom(mb_strtolower($text)) ??
            throw UnreadableText::choice(
                $name,
                array_map(static fn (\BackedEnum $c): string => (string) $c->value, $enum::cases()),
                $text,
            );
    }
}
