<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Progress;

/** What somebody has said of a step at the desk. */
enum TickKind: string
{
    /** Laid as it stands. */
    case Done = 'done';

    /** Left out for good. */
    case Skipped = 'skipped';

    /** Something else was laid in its zone. */
    case Other = 'other';
}
