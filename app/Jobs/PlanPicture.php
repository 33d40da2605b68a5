<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\PictureRun;
use App\Services\PictureRunner;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Plans some of a picture's parts; see {@see PictureRunner}. */
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

    public function handle(PictureRunner $runner): void
    {
        $run = PictureRun::query()->with('study')->find($this->runId);
        if ($run !== null && $run->isUnderWay()) {
            $runner->run($run);
        }
    }

    public function failed(?\Throwable $error): void
    {
        PictureRun::query()->whereKey($this->runId)->update(['state' => PictureRun::FAILED]);
    }
}
