<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\PlanRun;
use App\Plans\PlanRunner;
use App\Work\Standing;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Plans some of a picture's parts; see {@see PlanRunner}. */
final class PlanPicture implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 5;

    /** Seconds. */
    public int $timeout = 60;

    public function __construct(private readonly int $runId)
    {
    }

    public function handle(PlanRunner $runner): void
    {
        $run = PlanRun::query()->with('study')->find($this->runId);
        if ($run !== null && $run->isUnderWay()) {
            if ($runner->run($run)) {
                self::dispatch($run->id);
            }
        }
    }

    public function failed(?\Throwable $error): void
    {
        PlanRun::query()->whereKey($this->runId)->update(['state' => Standing::Failed]);
    }
}
