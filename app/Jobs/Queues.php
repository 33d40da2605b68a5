<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * Names of the queues: short work has a worker of its own besides, and goes first with all others; so have account files
 * (ops/supervisor.conf.in).
 */
final class Queues
{
    public const SHORT = 'short';

    public const LONG = 'default';

    public const FILES = 'files';
}
