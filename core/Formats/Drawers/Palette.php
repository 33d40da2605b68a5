<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/** Pencils as a plain-text palette (.gpl): red, green, blue 0–255, then the number and the name. */
final class Palette extends DrawerFormat
{
    private const FIRST_LINE = 'GIMP Palette';

    public function __construct()
    {
        parent::__construct('gpl', 3, 'gpl', 'text/plain', 'palette', 'number, name and colour (.gpl)');
    }

    public function isOne(string $start): bool
    {
        return str_starts_with($start, self::FIRST_LINE);
    }

    public function read(string $text): DrawerReading
    {
        DrawerFile::checkLines($text);
        $records = $problems = $taken = [];
        foreach (preg_split('/\r\n|\r|\n/', $text) ?: [] as $i => $line) {
            if (trim($line) === '' || preg_match('/^\s*(#|GIMP Palette|Name:|Columns:)/', $line) === 1) {
                continue;
            }
            if (
                preg_match('/^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/', $line, $m) !== 1 ||
                max((int) $m[1], (int) $m[2], (int) $m[3]) > 255
            ) {
                $problems[] = sprintf('line %d: it is no colour; one is written as three figures from 0 to 255 and a name.', $i + 1);

                continue;
            }
            [$number, $name] = self::numbered(trim($m[4] ?? ''), $i + 1, $taken);
            $taken[$number] = true;
            $records[$i + 1] = ShelfRow::of(new PencilRecord('', $number, $name, sprintf('#%02x%02x%02x', $m[1], $m[2], $m[3])));
        }

        return $records !== [] || $problems !== []
            ? new DrawerReading($records, $problems)
            : throw BadFile::because('The palette holds no colours.');
    }

    public function write(string $title, array $rows): string
    {
        return self::ofColours(
            $title,
            array_map(static fn (ShelfRow $r): array => [$r->record->heavy, trim("{$r->record->number} {$r->record->name}")], $rows),
        );
    }

    /** @param  list<array{string, string}>  $colours  #rrggbb and a name */
    public static function ofColours(string $title, array $colours): string
    {
        $line = static fn (string $s): string => trim((string) preg_replace('/[\x00-\x1F\x7F]+/', ' ', $s));
        $rows = array_map(
            static fn (array $c): string => vsprintf('%3d %3d %3d', array_map(hexdec(...), str_split(substr($c[0], 1), 2))).
                "\t".
                $line($c[1]),
            $colours,
        );

        return self::FIRST_LINE."\nName: ".$line($title)."\nColumns: 0\n#\n".implode("\n", $rows)."\n";
    }

    /**
     * A name that begins with something like a number has it; any other gets the line of the file.
     *
     * @param  array<string, true>  $taken
     * @return array{string, string}
     */
    private static function numbered(string $text, int $line, array $taken): array
    {
        if (preg_match('~^([A-Za-z]{0,3}\d[A-Za-z0-9.-]*)(?:\s+(.*))?$~', $text, $m) === 1 && ! isset($taken[$m[1]])) {
            return [$m[1], $m[2] ?? ''];
        }

        return [(string) $line, $text];
    }
}
