<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Drawer\Stock\ShelfRow;

/** What a drawer file says: the sound rows, the problems of the others, and which rows speak of the same pencil. */
final readonly class DrawerReading
{
    /** @var list<list<int>> rows of one pencil each, where there are several */
    public array $twice;

    /**
     * @param  array<int, ShelfRow>  $rows  by row or line of the file
     * @param  list<string>  $problems  each named by row or line and column
     */
    public function __construct(public array $rows, public array $problems)
    {
        $byId = [];
        foreach ($rows as $row => $pencil) {
            $byId[mb_strtolower($pencil->record->id())][] = $row;
        }
        $this->twice = array_values(array_filter($byId, static fn (array $places): bool => count($places) > 1));
    }
}
