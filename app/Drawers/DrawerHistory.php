<?php

declare(strict_types=1);

namespace App\Drawers;

use App\History\Reversals;
use App\Models\AccountImport;
use App\Models\PencilRow;
use App\Models\Reversal;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Every change of a drawer can be taken back. */
final class DrawerHistory
{
    /**
     * Keeps everybody else from changing a drawer until the transaction ends: what a change finds there, and notes for undo, is what
     * it changes.
     */
    public function lock(User $user): void
    {
        AccountImport::refuseMeanwhile($user->id);
        User::query()->whereKey($user->id)->lockForUpdate()->value('id');
    }

    /**
     * Does a change of some pencils and notes how they were. To be called within a transaction that has locked the drawer.
     *
     * @param  list<PencilRow>  $touched  as they are now
     * @param  \Closure(): list<int>  $change  gives the ids of uses noted with it
     */
    public function during(User $user, string $words, array $touched, \Closure $change): void
    {
        $last = (int) PencilRow::query()->where('user_id', $user->id)->max('id');
        $rows = array_map(static fn (PencilRow $row): array => $row->getRawOriginal(), $touched);
        $uses = $change();
        $created = PencilRow::query()
            ->where('user_id', $user->id)
            ->where('id', '>', $last)
            ->pluck('id')
            ->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)
            ->values()
            ->all();
        (new Reversals($user->id))->note($words, ['pencils' => $rows], ['pencil_uses' => $uses, 'pencils' => array_values($created)]);
    }

    /** What would be undone next. */
    public function next(User $user): ?Reversal
    {
        return (new Reversals($user->id))->latest();
    }

    /**
     * Takes back the latest change and says what it was, or null when there is none.
     *
     * @param  ?int  $of  the change that was the latest where this was asked for, 0 where there was none; refused when it is another by now
     */
    public function undo(User $user, ?int $of = null): ?string
    {
        return DB::transaction(function () use ($user, $of): ?string {
            $this->lock($user);

            return (new Reversals($user->id))->undo($of);
        });
    }
}
