<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Accounts\AccountImports;
use App\Models\AccountImport;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Puts an account file in, all at once at the end. Killed, it leaves nothing, and is begun again ({@see self::whatWasLeft()}). */
final class TakeInAccount implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    /** Seconds; a hundred planned studies take some five minutes. */
    public int $timeout = 1800;

    public function __construct(private readonly int $importId)
    {
        $this->onQueue(Queues::FILES);
    }

    /** Begins again what a killed worker has left. */
    public static function whatWasLeft(): void
    {
        foreach (AccountImports::left() as $id) {
            self::dispatch($id);
        }
    }

    public function handle(AccountImports $imports): void
    {
        $import = AccountImport::query()->find($this->importId);
        if ($import !== null) {
            $imports->takeIn($import);
        }
    }
}
