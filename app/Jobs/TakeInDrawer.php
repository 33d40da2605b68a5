<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Drawers\DrawerImports;
use App\Models\DrawerImport;
use App\Work\Standing;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Puts the pencils of a drawer file in, all at once at the end: cancelled or killed, it leaves the old drawer as it was, and run again it
 * begins again.
 */
final class TakeInDrawer implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    /** Seconds. */
    public int $timeout = 60;

    public function __construct(private readonly int $importId)
    {
        $this->onQueue(Queues::SHORT);
    }

    public function handle(DrawerImports $imports): void
    {
        $import = DrawerImport::query()->find($this->importId);
        if ($import !== null && $import->state->isUnderWay()) {
            if ($imports->takeIn($import)) {
                FitPencils::dispatch($import->user_id);
            }
        }
    }

    public function failed(?\Throwable $error): void
    {
        DrawerImport::query()
            ->whereKey($this->importId)
            ->update(['state' => Standing::Failed]);
    }
}
