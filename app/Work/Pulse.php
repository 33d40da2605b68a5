<?php

declare(strict_types=1);

namespace App\Work;

/**
 * Whether the queue's worker lives: a file that is touched every other second, by whatever keeps the worker going (ops/servers.sh) and by
 * the worker between jobs. No database is asked, so that health can say of each by itself.
 */
final class Pulse
{
    /** Seconds after which nothing lives that was not heard of. */
    public const HEARD_WITHIN = 10;

    public static function beat(): void
    {
        // Where another user keeps the worker going it is that one's file.
        @touch(self::path());
    }

    public static function isHeard(): bool
    {
        clearstatcache(true, self::path());
        $at = @filemtime(self::path());

        return $at !== false && time() - $at < self::HEARD_WITHIN;
    }

    private static function path(): string
    {
        return (string) config('queue.pulse');
    }
}
