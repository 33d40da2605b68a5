<?php

declare(strict_types=1);

namespace App\Work;

/** Where long work stands that somebody asked for. */
enum Standing: string
{
    /** Looked at, and not asked for yet. */
    case Preview = 'preview';
    case Waiting = 'waiting';
    case Working = 'working';
    case Done = 'done';
    case Cancelled = 'cancelled';
    case Failed = 'failed';

    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Working;
    }
}
