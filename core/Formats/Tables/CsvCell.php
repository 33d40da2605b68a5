<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Tables;

/** A cell of a table for other programs: quoted where it must be; what a spreadsheet would take for a formula is marked as text. */
final class CsvCell
{
    public static function of(string|int|float|null $value): string
    {
        $text = is_string($value) ? self::marked($value) : (string) $value;

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }

    /** Text that a spreadsheet would work out, with a mark before it that makes it text. */
    public static function marked(string $text): string
    {
        return preg_match("/^'*[=+\\-@\t\r]/", $text) === 1 ? "'".$text : $text;
    }

    /** Without the mark, as it was. */
    public static function unmarked(string $text): string
    {
        return preg_match("/^''*[=+\\-@\t\r]/", $text) === 1 ? substr($text, 1) : $text;
    }

    /** @param  list<string|int|float|null>  $cells */
    public static function row(array $cells): string
    {
        return implode(',', array_map(self::of(...), $cells));
    }
}
