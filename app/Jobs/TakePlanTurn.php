<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Plans\PlanRunner;
use App\Plans\PlanTurns;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Works for a while on whatever plan's turn it is ({@see PlanTurns}). It names no plan: one that the queue hands out twice takes another's
 * turn, or finds nothing. One of each kind waits at a time; each that begins queues the next, so that every worker that is free finds one.
 */
final class TakePlanTurn implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 5;

    /** Seconds without a word of the planner. */
    public int $timeout = 180;

    /** Seconds after which one that never came to its turn no longer keeps another out. */
    public int $uniqueFor = 60;

    public function __construct(private readonly bool $short = false)
    {
        $this->onQueue($short ? Queues::SHORT : Queues::LONG);
    }

    /** Queues a turn for what waits; also for what was left by a worker that died. */
    public static function forWhatWaits(): void
    {
        $turns = app(PlanTurns::class);
        foreach ([true, false] as $short) {
            if ($turns->somethingWaits(self::mostOpen($short))) {
                self::dispatch($short);
            }
        }
    }

    public function uniqueId(): string
    {
        return $this->short ? 'short' : 'long';
    }

    public function handle(PlanTurns $turns, PlanRunner $runner): void
    {
        $run = $turns->take(self::mostOpen($this->short));
        if ($run === null) {
            return;
        }
        self::forWhatWaits();
        // Tried again, some times: whose turn it is says how often.
        rescue(static fn () => $runner->run($run));
        self::forWhatWaits();
    }

    private static function mostOpen(bool $short): int
    {
        return $short ? PlanTurns::SHORT : PHP_INT_MAX;
    }
}
