<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Formats\Text\PlainText;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Swatches\PencilFit;

/** A drawer from the text of a file, in whichever {@see DrawerFormat} it is: they are told apart by how it begins. */
final class DrawerFile
{
    private const MOST_ROWS = 20_000;

    private const MOST_LINES = 60_000;

    private const LONGEST_LINE = 20_000;

    /** @throws BadFile when the file as a whole can't be read */
    public static function reading(string $text): DrawerReading
    {
        $text = PlainText::of($text);
        $start = ltrim($text);
        if ($start === '') {
            throw BadFile::because(
                'The drawer file is empty; it needs a header line with at least "number,heavy", or a JSON list of pencils.',
            );
        }

        foreach (DrawerFormat::cases() as $format) {
            if ($format->isOne($start)) {
                return $format->read($text);
            }
        }

        return Csv::it()->read($text);
    }

    /** @throws BadFile when there are more rows than anyone has pencils */
    public static function checkRows(int $rows): void
    {
        if ($rows > self::MOST_ROWS) {
            throw BadFile::because(
                sprintf('The drawer file has more than %s pencils; split it into smaller ones.', number_format(self::MOST_ROWS)),
            );
        }
    }

    /** @throws BadFile when it would fall into more lines, or longer ones, than a table of colours has */
    public static function checkLines(string $text): void
    {
        if (
            substr_count($text, "\n") + substr_count($text, "\r") > self::MOST_LINES ||
            preg_match('/[^\r\n]{'.self::LONGEST_LINE.'}/', $text) === 1
        ) {
            throw BadFile::because(
                sprintf(
                    'The file has more than %s lines, or lines of more than %s letters; save it as a plain table of colours.',
                    number_format(self::MOST_LINES),
                    number_format(self::LONGEST_LINE),
                ),
            );
        }
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
            $twice[] = sprintf(
                'row %d, column number: "%s" is already in row %d.',
                $second,
                $reading->rows[$second]->record->id(),
                $first,
            );
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
