<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer\Stock;

/** Whether a pencil is available. */
enum Stock: string
{
    case Owned = 'owned';
    case Low = 'low';
    case Wanted = 'wanted';
    case Absent = 'not owned';

    public function isOwned(): bool
    {
        return $this === self::Owned || $this === self::Low;
    }
}
