<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\PencilRecord;

/** A drawer as JSON: {"pencils": […]}, or the list alone; the schema is docs/schemas/drawer.schema.json. */
final class DrawerJson
{
    /**
     * @return array<int, PencilRecord> by row, the first pencil being row 1
     *
     * @throws BadFile
     */
    public static function read(string $text): array
    {
        $data = json_decode($text, true, 64);
        if ($data === null) {
            throw BadFile::because('The drawer file begins like JSON but can not be read: '.json_last_error_msg().'.');
        }
        $rows = is_array($data) ? ($data['pencils'] ?? $data) : null;
        if (! is_array($rows) || ! array_is_list($rows) || $rows === []) {
            throw BadFile::because('The drawer file must be a list of pencils, or an object with a list named "pencils".');
        }
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

        return $fields->problems === [] ? $records : throw BadFile::withProblems('The drawer file has a problem in', $fields->problems);
    }

    /**
     * @param  array<mixed>  $row
     * @return array<string, string>
     */
    private static function asText(array $row): array
    {
        $text = [];
        foreach ($row as $key => $value) {
            $text[(string) $key] = is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '');
        }

        return $text;
    }
}
