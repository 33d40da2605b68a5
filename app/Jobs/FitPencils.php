<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Drawers\FitDrawer;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Fits the pencils of an account that were not fitted yet, those available first. It works for a little while and then queues itself
 * again, so that a drawer of thousands holds nobody up; killed, it has lost one pencil.
 */
final class FitPencils implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    /** Seconds that another of the same account waits at most for this one. */
    public int $uniqueFor = 60;

    public function __construct(private readonly int $userId)
    {
        $this->onQueue(Queues::SHORT);
    }

    public function uniqueId(): string
    {
        return (string) $this->userId;
    }

    public function handle(FitDrawer $fits): void
    {
        if ($fits->some($this->userId)) {
            self::dispatch($this->userId);
        }
    }
}
