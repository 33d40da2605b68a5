<?php

declare(strict_types=1);

namespace App\Drawers;

use App\Cache\AccountClock;
use App\Models\PencilRow;
use Illuminate\Database\Eloquent\Collection;
use KnottyPrism\Core\Medium\Swatches\PencilFit;

/** Fits pencils that were not fitted yet to their swatches, those available first; cut off, it has lost one pencil. */
final class FitDrawer
{
    private const AT_ONCE = 100;

    /** Pencils after which whoever looks at the drawer is told of new ones. */
    private const TOLD_EVERY = 10;

    /**
     * @param  bool  $tells  the account's pages that there is something new; within a larger change, what makes that tells of it
     * @return bool whether there may be more
     */
    public function some(int $userId, bool $tells = true): bool
    {
        /** @var Collection<int, PencilRow> $rows */
        $rows = PencilRow::query()
            ->where('user_id', $userId)
            ->whereNull('fit')
            ->orderByDesc('owned')
            ->orderBy('id')
            ->limit(self::AT_ONCE)
            ->get();
        foreach ($rows as $done => $row) {
            // The drawer may have changed meanwhile: a fit of other figures is not kept.
            PencilRow::query()
                ->whereKey($row->id)
                ->where('heavy', $row->heavy)
                ->toBase()
                ->update(['fit' => json_encode(PencilRow::fitOf(PencilFit::of($row->record())), JSON_THROW_ON_ERROR)]);
            if ($tells && $done % self::TOLD_EVERY === 0) {
                AccountClock::tick($userId);
            }
        }
        if ($tells) {
            AccountClock::tick($userId);
        }

        return $rows->count() === self::AT_ONCE;
    }
}
