<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Formats\Text\BoundedJson;

/** A drawer as JSON: {"pencils": […]}, or the list alone; the schema is docs/schemas/drawer.schema.json. */
final class Json extends DrawerFormat
{
    /** Some twenty thousand pencils, each with everything that can be said of one. */
    private const MOST_VALUES = 400_000;

    public function __construct()
    {
        parent::__construct('json', 2, 'json', 'application/json', 'JSON', 'all of it, with a published schema');
    }

    public function isOne(string $start): bool
    {
        return in_array($start[0], ['{', '['], true);
    }

    public function write(string $title, array $rows): string
    {
        return json_encode(
            ['pencils' => self::pencils($rows)],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /**
     * @param  list<ShelfRow>  $rows
     * @return list<array<string, string|float|bool>> for a file that holds pencils besides other things
     */
    public static function pencils(array $rows): array
    {
        return array_map(
            static fn (ShelfRow $r): array => array_filter(
                RecordFields::of($r),
                static fn (string|float|bool|null $v): bool => $v !== null && $v !== '',
            ),
            $rows,
        );
    }

    /**
     * The first pencil is row 1.
     *
     * @throws BadFile when the file as a whole can't be read
     */
    public function read(string $text): DrawerReading
    {
        $data = BoundedJson::decoded($text, self::MOST_VALUES, 'The drawer file');
        if ($data === null) {
            throw BadFile::because('The drawer file begins like JSON but can’t be read: '.json_last_error_msg().'.');
        }
        $rows = is_array($data) ? $data['pencils'] ?? $data : null;
        if (! is_array($rows) || ! array_is_list($rows) || $rows === []) {
            throw BadFile::because('The drawer file must be a list of pencils, or an object with a list named "pencils".');
        }
        DrawerFile::checkRows(count($rows));
        $fields = new RecordFields();
        $records = [];
        foreach ($rows as $i => $row) {
            $record = is_array($row) ? $fields->record($i + 1, self::asText($row)) : null;
            if (! is_array($row)) {
                $fields->problems[] = sprintf('row %d: a pencil is an object with number and heavy.', $i + 1);
            }
            if ($record !== null) {
                $records[$i + 1] = $record;
            }
        }

        return new DrawerReading($records, $fields->problems);
    }

    /**
     * @param  array<mixed>  $row
     * @return array<string, string>
     */
    private static function asText(array $row): array
    {
        $text = [];
        foreach ($row as $key => $value) {
            $text[(string) $key] = is_bool($value)
                ? ($value
                    ? 'yes'
                    : 'no')
                : (is_scalar($value)
                    ? (string) $value
                    : (is_array($value)
                        ? implode('; ', array_filter($value, is_scalar(...)))
                        : ''));
        }

        return $text;
    }
}
