<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Formats\Tables\CsvCell;

/**
 * A drawer as comma-separated values (RFC 4180) with a header line; columns in any order, only number and heavy required. Spreadsheets of
 * many countries write semicolons or tabs instead of commas: whichever the header line has most of parts the cells.
 */
final class Csv extends DrawerFormat
{
    private const MOST_COLUMNS = 100;

    /** Each as it is called. */
    private const SEPARATORS = [',' => 'commas', ';' => 'semicolons', "\t" => 'tabs'];

    public function __construct()
    {
        parent::__construct('csv', 1, 'csv', 'text/csv', 'CSV', 'all of it, for a spreadsheet');
    }

    /** What no other form is. */
    public function isOne(string $start): bool
    {
        return false;
    }

    public function write(string $title, array $rows): string
    {
        $cell = static fn (string|float|bool|null $v): string => is_bool($v)
            ? ($v
                ? 'yes'
                : 'no')
            : (is_string($v)
                ? CsvCell::marked($v)
                : (string) $v);
        $stream = fopen('php://memory', 'r+') ?: throw new \LogicException('memory can always be opened');
        fputcsv($stream, RecordFields::COLUMNS, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($stream, array_map($cell, RecordFields::of($row)), escape: '', eol: "\r\n");
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /**
     * Rows are numbered as a spreadsheet counts, the header being row 1.
     *
     * @throws BadFile when the file as a whole can't be read
     */
    public function read(string $text): DrawerReading
    {
        $stream = fopen('php://memory', 'r+') ?: throw new \LogicException('memory can always be opened');
        fwrite($stream, $text);
        rewind($stream);
        $first = strtok($text, "\r\n") ?: '';
        $separator = self::separatorOf($first);
        if (substr_count($first, $separator) >= self::MOST_COLUMNS) {
            throw BadFile::because(
                sprintf(
                    'Row 1 names more than %d columns; known columns are %s.',
                    self::MOST_COLUMNS,
                    implode(', ', RecordFields::COLUMNS),
                ),
            );
        }
        $header = self::header(fgetcsv($stream, separator: $separator, escape: ''));
        $fields = new RecordFields();
        $records = [];
        $filled = 0;
        for ($row = 2; ($cells = fgetcsv($stream, separator: $separator, escape: '')) !== false; $row++) {
            // Spreadsheets write empty rows by the thousand.
            if (implode('', $cells) === '') {
                continue;
            }
            DrawerFile::checkRows(++$filled);
            if (count($cells) > count($header)) {
                $fields->problems[] = sprintf(
                    'row %d: it has %d cells but the header names %d columns; put text that has %s in "quotes".',
                    $row,
                    count($cells),
                    count($header),
                    self::SEPARATORS[$separator],
                );

                continue;
            }
            $named = [];
            foreach ($cells as $i => $cell) {
                $named[$header[$i]] = CsvCell::unmarked((string) $cell);
            }
            $record = $fields->record($row, $named);
            if ($record !== null) {
                $records[$row] = $record;
            }
        }

        return $records !== [] || $fields->problems !== []
            ? new DrawerReading($records, $fields->problems)
            : throw BadFile::because('The drawer file has a header but no pencils below it.');
    }

    private static function separatorOf(string $header): string
    {
        $counts = array_map(static fn (string $separator): int => substr_count($header, $separator), array_keys(self::SEPARATORS));

        return array_keys(self::SEPARATORS)[(int) array_search(max($counts), $counts, true)];
    }

    /**
     * @param  array<int, ?string>|false  $cells
     * @return list<string>
     */
    private static function header(array|false $cells): array
    {
        $header = array_map(static fn (?string $c): string => mb_strtolower(trim((string) $c)), $cells ?: []);
        $missing = array_diff(RecordFields::REQUIRED, $header);
        $unknown = array_diff($header, RecordFields::COLUMNS);
        if ($missing !== []) {
            throw BadFile::because(
                sprintf(
                    'Row 1 must name the columns; %s is missing (known columns: %s).',
                    implode(' and ', $missing),
                    implode(', ', RecordFields::COLUMNS),
                ),
            );
        }
        if ($unknown !== []) {
            throw BadFile::because(
                sprintf('Row 1 has an unknown column "%s"; known columns are %s.', reset($unknown), implode(', ', RecordFields::COLUMNS)),
            );
        }

        return array_values($header);
    }
}
