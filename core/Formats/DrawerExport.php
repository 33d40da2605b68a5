<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/** A drawer in any of the open formats. CSV and JSON hold all of it; the others a number, a name and a colour. */
final class DrawerExport
{
    /** Kind => what the file's name ends in. */
    public const KINDS = ['csv' => 'csv', 'json' => 'json', 'gpl' => 'gpl', 'cgats' => 'txt', 'spectral' => 'txt'];

    /**
     * @param  list<ShelfRow>  $rows
     *
     * @throws UnreadableText when there is no such kind
     */
    public static function text(string $kind, string $title, array $rows): string
    {
        $records = array_map(static fn (ShelfRow $row): PencilRecord => $row->record, $rows);

        return match ($kind) {
            'csv' => DrawerWriter::csv($rows),
            'json' => DrawerWriter::json($rows),
            'gpl' => PaletteText::write($title, $records),
            'cgats' => Cgats::write($title, $records),
            'spectral' => Cgats::writeSpectral($title, $records),
            default => throw UnreadableText::choice('the format', array_keys(self::KINDS), $kind),
        };
    }
}
