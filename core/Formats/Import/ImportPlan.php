<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Import;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Formats\Drawers\DrawerReading;

/** What taking a drawer file in would do: which pencils are new, which change, which are the same, and which rows speak of one pencil. */
final readonly class ImportPlan
{
    /**
     * @param  array<int, ShelfRow>  $new  by row of the file
     * @param  array<int, ShelfRow>  $changed  as they would be
     * @param  array<int, ShelfRow>  $same
     * @param  list<ShelfRow>  $dropped  pencils that would no longer be owned
     * @param  list<array{rows: list<int>, id: string, differs: list<string>}>  $twice rows that speak of one pencil, and the columns in
     *   which
     *   they differ
     */
    private function __construct(
        public array $new,
        public array $changed,
        public array $same,
        public array $dropped,
        public array $twice,
    ) {
    }

    /** @param  list<ShelfRow>  $known  what is in the drawer already */
    public static function of(DrawerReading $reading, array $known, ImportChoices $choices): self
    {
        $byId = [];
        foreach ($known as $row) {
            $byId[self::key($row)] = $row;
        }
        [$rows, $twice] = self::once($reading, $choices);
        $new = $changed = $same = [];
        $named = [];
        foreach ($rows as $place => $row) {
            $named[self::key($row)] = true;
            $old = $byId[self::key($row)] ?? null;
            $then = match (true) {
                $old === null => $row,
                $choices->known === 'renew' => RowMerge::of($row, $old),
                $choices->known === 'fill' => RowMerge::of($old, $row),
                default => $old,
            };
            if ($old === null) {
                $new[$place] = $then;
            } elseif (RowMerge::texts($then) === RowMerge::texts($old)) {
                $same[$place] = $then;
            } else {
                $changed[$place] = $then;
            }
        }
        $others =
            $choices->others === 'keep'
                ? []
                : array_filter($known, static fn (ShelfRow $row): bool => $row->record->owned && ! isset($named[self::key($row)]));

        return new self(
            $new,
            $changed,
            $same,
            array_map(
                static fn (ShelfRow $row): ShelfRow => new ShelfRow($row->record, $row->stock->withState(Stock::Absent)),
                array_values($others),
            ),
            $twice,
        );
    }

    /** @return list<ShelfRow> all that must be written */
    public function written(): array
    {
        return [...array_values($this->new), ...array_values($this->changed), ...$this->dropped];
    }

    /**
     * @return array{array<int, ShelfRow>, list<array{rows: list<int>, id: string, differs: list<string>}>} one row for each pencil, and
     *   which were several
     */
    private static function once(DrawerReading $reading, ImportChoices $choices): array
    {
        $rows = $reading->rows;
        $twice = [];
        foreach ($reading->twice as $places) {
            $differs = [];
            $first = $rows[$places[0]];
            foreach (array_slice($places, 1) as $place) {
                $differs = [...$differs, ...RowMerge::differences($first, $rows[$place])];
                $first = $choices->twice === 'merge' ? RowMerge::of($first, $rows[$place]) : $first;
                unset($rows[$place]);
            }
            $rows[$places[0]] = $first;
            $twice[] = ['rows' => $places, 'id' => $first->record->id(), 'differs' => array_values(array_unique($differs))];
        }

        return [$rows, $twice];
    }

    private static function key(ShelfRow $row): string
    {
        return mb_strtolower($row->record->id());
    }
}
