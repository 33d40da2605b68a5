<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Error\BadFile;

/** A drawer as JSON: {"pencils": […]}, or the list alone; the schema is docs/schemas/drawer.schema.json. */
final class DrawerJson
{
    /** Some twenty thousand pencils, each with everything that can be said of one. */
    private const MOST_VALUES = 400_000;

    /**
     * The first pencil is row 1.
     *
     * @throws BadFile when the file as a whole can't be read
     */
    public static function read(string $text): DrawerReading
    {
        $data = BoundedJson::decoded($text, self::MOST_VALUES, 'The drawer file');
        if ($data === null) {
            throw BadFile::because('The drawer file begins like JSON but can not be read: '.json_last_error_msg().'.');
        }
        $rows = is_array($data) ? ($data['pencils'] ?? $data) : null;
        if (! is_array($rows) || ! array_is_list($rows) || $rows === []) {
            throw BadFile::because('The drawer file must be a list of pencils, or an object with a list named "pencils".');
        }
        DrawerFile::checkRows(count($rows));
        $fields = new RecordFields;
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
            $text[(string) $key] = is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : (is_array($value) ? implode('; ', array_filter($value, is_scalar(...))) : ''));
        }

        return $text;
    }
}
