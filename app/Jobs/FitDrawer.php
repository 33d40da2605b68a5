<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\DrawerImport;
use App\Models\User;
use App\Services\DrawerKeeper;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Medium\PencilFit;

/**
 * Fits the pencils of an imported drawer one after the other and puts them in all at once at the end: cancelled or killed, it
 * leaves the old drawer as it was, and run again it begins anew.
 */
final class FitDrawer implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    /** Seconds; a large drawer of 5,000 pencils takes about five minutes. */
    public int $timeout = 900;

    public function __construct(private readonly int $importId)
    {
    }

    public function handle(DrawerKeeper $drawers): void
    {
        $import = DrawerImport::query()->find($this->importId);
        if ($import === null || ! in_array($import->state, [DrawerImport::WAITING, DrawerImport::WORKING], true)) {
            return;
        }
        $import->update(['state' => DrawerImport::WORKING, 'done' => 0]);
        $pencils = [];
        foreach (DrawerFile::records($import->text) as $i => $record) {
            $pencils[] = PencilFit::of($record);
            $stillWanted = DrawerImport::query()->whereKey($import->id)->where('state', DrawerImport::WORKING)->update(['done' => $i + 1]);
            if ($stillWanted === 0) {
                return;
            }
        }
        $drawers->replace(User::query()->findOrFail($import->user_id), $pencils);
        $import->update(['state' => DrawerImport::DONE, 'text' => '']);
    }

    public function failed(?\Throwable $error): void
    {
        DrawerImport::query()->whereKey($this->importId)->update(['state' => DrawerImport::FAILED]);
    }
}
