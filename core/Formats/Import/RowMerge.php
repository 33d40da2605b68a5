<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Import;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Formats\Drawers\RecordFields;

/** Two rows of one pencil made one: what the first leaves blank comes from the second; where both speak and differ, the first is kept. */
final class RowMerge
{
    /** Follows from the stock, and is not said twice. */
    private const FOLLOWS = 'owned';

    public static function of(ShelfRow $first, ShelfRow $second): ShelfRow
    {
        $fields = self::texts($first);
        foreach (self::texts($second) as $column => $text) {
            if ($fields[$column] === '') {
                $fields[$column] = $text;
            }
        }

        return (new RecordFields())->record(1, $fields) ?? throw new \LogicException('two sound rows make a sound one');
    }

    /** @return list<string> columns in which both speak and differ */
    public static function differences(ShelfRow $first, ShelfRow $second): array
    {
        $other = self::texts($second);

        return array_keys(
            array_filter(
                self::texts($first),
                static fn (string $text, string $column): bool => $text !== '' && $other[$column] !== '' && $text !== $other[$column],
                ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /** @return array<string, string> by column; what is not said is empty */
    public static function texts(ShelfRow $row): array
    {
        $fields = RecordFields::of($row);
        $fields[self::FOLLOWS] = null;

        return array_map(static fn (string|float|bool|null $v): string => is_bool($v) ? ($v ? 'yes' : '') : (string) $v, $fields);
    }
}
