<?php

declare(strict_types=1);

namespace App\Cli;

/** Ctrl-C or a polite kill, raised where the work can be left cleanly. */
final class Interrupted extends \RuntimeException
{
    /** The status that a shell gives to what was ended by Ctrl-C. */
    public const STATUS = 130;

    /** Lets either signal raise this, in the middle of whatever is going on. */
    public static function onSignals(): void
    {
        if (! function_exists('pcntl_async_signals')) {
            return;
        }
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM] as $signal) {
            pcntl_signal($signal, static fn () => throw new self('Interrupted; nothing was written.'));
        }
    }
}
