<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\PencilFit;
use KnottyPrism\Core\Medium\PencilRecord;

/** A drawer from the text of a file: CSV, JSON, a plain-text palette or measurement text, told apart by how it begins. */
final class DrawerFile
{
    /** @throws BadFile when the file as a whole can't be read */
    public static function reading(string $text): DrawerReading
    {
        $text = PlainText::of($text);
        $start = ltrim($text);
        if ($start === '') {
            throw BadFile::because('The drawer file is empty; it needs a header line with at least "number,heavy", or a JSON list of pencils.');
        }

        return match (true) {
            in_array($start[0], ['{', '['], true) => DrawerJson::read($start),
            PaletteText::isOne($start) => PaletteText::read($text),
            str_contains($start, 'BEGIN_DATA_FORMAT') => Cgats::read($text),
            default => DrawerCsv::read($text),
        };
    }

    /**
     * @return list<ShelfRow> of a file without a fault
     *
     * @throws BadFile with every problem, each named by row and column
     */
    public static function rows(string $text): array
    {
        $reading = self::reading($text);
        if ($reading->problems !== []) {
            throw BadFile::withProblems('The drawer file has a problem in', $reading->problems);
        }
        $twice = [];
        foreach ($reading->twice as [$first, $second]) {
            $twice[] = sprintf('row %d, column number: "%s" is already in row %d.', $second, $reading->rows[$second]->record->id(), $first);
        }
        if ($twice !== []) {
            throw BadFile::withProblems('The drawer file lists a pencil twice', $twice);
        }

        return array_values($reading->rows);
    }

    /**
     * @return list<PencilRecord>
     *
     * @throws BadFile
     */
    public static function records(string $text): array
    {
        return array_map(static fn (ShelfRow $row): PencilRecord => $row->record, self::rows($text));
    }

    /** @throws BadFile */
    public static function drawer(string $text): Drawer
    {
        return new Drawer(array_map(PencilFit::of(...), self::records($text)));
    }
}
