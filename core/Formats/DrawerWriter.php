<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Formats\Tables\CsvCell;

/** A drawer as CSV or JSON, so that reading it again gives the same drawer. */
final class DrawerWriter
{
    /** @param  list<ShelfRow>  $rows */
    public static function csv(array $rows): string
    {
        $stream = fopen('php://memory', 'r+') ?: throw new \LogicException('memory can always be opened');
        fputcsv($stream, RecordFields::COLUMNS, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($stream, array_map(static fn (string|float|bool|null $v): string => is_bool($v) ? ($v ? 'yes' : 'no') : (is_string($v) ? CsvCell::marked($v) : (string) $v), self::fields($row)), escape: '', eol: "\r\n");
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** @param  list<ShelfRow>  $rows */
    public static function json(array $rows): string
    {
        $pencils = array_map(static fn (ShelfRow $r): array => array_filter(self::fields($r), static fn (string|float|bool|null $v): bool => $v !== null && $v !== ''), $rows);

        return json_encode(['pencils' => $pencils], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array<string, string|float|bool|null> by column */
    public static function fields(ShelfRow $row): array
    {
        [$r, $stock] = [$row->record, $row->stock];

        return [
            'line' => $r->line, 'number' => $r->number, 'name' => $r->name, 'binder' => $r->binder?->value, 'heavy' => $r->heavy, 'light' => $r->light, 'over_black' => $r->overBlack,
            'opacity' => $r->opacity?->value, 'laydown' => $r->laydown, 'lightfast' => $r->lightfast, 'owned' => $r->owned,
            'stock' => $stock->state->value, 'length_left' => $stock->lengthLeft, 'discontinued' => $stock->discontinued, 'formerly' => implode('; ', $stock->formerly), 'notes' => $stock->notes,
        ];
    }
}
