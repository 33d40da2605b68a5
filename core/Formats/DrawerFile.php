<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\PencilFit;
use KnottyPrism\Core\Medium\PencilRecord;

/** A drawer from the text of a file: CSV, JSON, a plain-text palette or measurement text, told apart by how it begins. */
final class DrawerFile
{
    /**
     * @return list<PencilRecord>
     *
     * @throws BadFile with every problem, each named by row and column
     */
    public static function records(string $text): array
    {
        $start = ltrim(self::withoutMark($text));
        if ($start === '') {
            throw BadFile::because('The drawer file is empty; it needs a header line with at least "number,heavy", or a JSON list of pencils.');
        }
        $records = match (true) {
            in_array($start[0], ['{', '['], true) => DrawerJson::read($start),
            PaletteText::isOne($start) => PaletteText::read(self::withoutMark($text)),
            str_contains($start, 'BEGIN_DATA_FORMAT') => Cgats::read(self::withoutMark($text)),
            default => DrawerCsv::read(self::withoutMark($text)),
        };
        $problems = [];
        $seen = [];
        foreach ($records as $row => $record) {
            $id = mb_strtolower($record->id());
            if (isset($seen[$id])) {
                $problems[] = sprintf('row %d, column number: "%s" is already in row %d.', $row, $record->id(), $seen[$id]);
            }
            $seen[$id] ??= $row;
        }
        if ($problems !== []) {
            throw BadFile::withProblems('The drawer file lists a pencil twice', $problems);
        }

        return array_values($records);
    }

    /** @throws BadFile */
    public static function drawer(string $text): Drawer
    {
        return new Drawer(array_map(PencilFit::of(...), self::records($text)));
    }

    /** Spreadsheets write a byte order mark in front. */
    private static function withoutMark(string $text): string
    {
        return str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
    }
}
