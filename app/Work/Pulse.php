<?php

declare(strict_types=1);

namespace App\Work;

/**
 * Whether the queue's workers live: each has a file that is touched every other second beside it and as long as it lives (ops/serve.sh). No
 * database is asked, so that health can say of each part by itself.
 */
final class Pulse
{
    /** Seconds after which nothing lives that was not heard of. */
    public const HEARD_WITHIN = 10;

    /** Whether every worker was heard of, of those that were begun here. */
    public static function isHeard(): bool
    {
        clearstatcache();
        $files = glob(config('queue.pulse').'/*') ?: [];

        return $files !== [] &&
            array_filter($files, static fn (string $file): bool => time() - (int) @filemtime($file) >= self::HEARD_WITHIN) === [];
    }
}
