<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer\Stock;

use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/** One row of a drawer file: the pencil as recorded, and what is noted of its stock. */
final readonly class ShelfRow
{
    public function __construct(public PencilRecord $record, public StockNote $stock)
    {
    }

    /** A pencil of which nothing is noted but whether it is owned. */
    public static function of(PencilRecord $record): self
    {
        return new self($record, new StockNote($record->owned ? Stock::Owned : Stock::Absent));
    }
}
