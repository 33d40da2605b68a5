<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Study;
use App\Plans\PlanRunner;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Chooses the pencils of a picture that somebody is about to plan, so that its first zone is there the sooner; see {@see
 * PlanRunner::prepare()}.
 */
final class ChoosePencils implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 2;

    /** Seconds. */
    public int $timeout = 180;

    /** Seconds after which one that never came to its turn no longer keeps another out. */
    public int $uniqueFor = 120;

    public function __construct(private readonly int $studyId)
    {
    }

    /**
     * Asked for where it helps what is likely to come; that it can't be asked for, as the disk is full, takes nothing from what was done.
     */
    public static function ahead(int $studyId): void
    {
        rescue(static function () use ($studyId): void {
            // What is dispatched goes when it is let go of: here, and not outside of the rescue.
            self::dispatch($studyId);
        }, report: false);
    }

    public function uniqueId(): string
    {
        return (string) $this->studyId;
    }

    public function handle(PlanRunner $runner): void
    {
        $study = Study::query()->find($this->studyId);
        if ($study !== null) {
            $runner->prepare($study);
        }
    }
}
