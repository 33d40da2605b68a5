<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\PencilRow;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use KnottyPrism\Core\Medium\Swatches\PencilFit;

/**
 * Fits the pencils of an account that were not fitted yet, those at hand first. It works for a little while and then queues itself
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

    private const AT_ONCE = 100;

    public function __construct(private readonly int $userId)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->userId;
    }

    public function handle(): void
    {
        /** @var Collection<int, PencilRow> $rows */
        $rows = PencilRow::query()->where('user_id', $this->userId)->whereNull('fit')->orderByDesc('owned')->orderBy('id')->limit(self::AT_ONCE)->get();
        foreach ($rows as $row) {
            // The drawer may have changed meanwhile: a fit of other figures is not kept.
            PencilRow::query()->whereKey($row->id)->where('heavy', $row->heavy)->toBase()->update(['fit' => json_encode(PencilRow::fitOf(PencilFit::of($row->record())), JSON_THROW_ON_ERROR)]);
        }
        if ($rows->count() === self::AT_ONCE) {
            self::dispatch($this->userId);
        }
    }
}
