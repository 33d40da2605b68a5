<?php

declare(strict_types=1);

namespace App\History;

use App\Models\DrawerChange;
use App\Models\PencilRow;
use App\Models\PencilUse;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Every change of a drawer notes what was there before; the latest is undone first. */
final class DrawerHistory
{
    /** Changes that are kept to be undone. */
    private const KEPT = 50;

    /** Rows written at a time. */
    private const CHUNK = 250;

    /**
     * Keeps everybody else from changing a drawer until the transaction ends: what a change finds there, and notes for undo, is what
     * it changes.
     */
    public function lock(User $user): void
    {
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
        $created = PencilRow::query()->where('user_id', $user->id)->where('id', '>', $last)->pluck('id')->all();
        $before = gzcompress(json_encode(['rows' => $rows, 'created' => $created, 'uses' => $uses], JSON_THROW_ON_ERROR));
        DrawerChange::query()->create(['user_id' => $user->id, 'words' => mb_substr($words, 0, 200), 'before' => $before]);
        $old = DrawerChange::query()->where('user_id', $user->id)->orderByDesc('id')->skip(self::KEPT)->take(self::CHUNK)->pluck('id');
        DrawerChange::query()->whereIn('id', $old)->delete();
    }

    /** What would be undone next; without what it was before, which may be large. */
    public function next(User $user): ?DrawerChange
    {
        return DrawerChange::query()->where('user_id', $user->id)->orderByDesc('id')->first(['id', 'words']);
    }

    /**
     * Takes back the latest change and says what it was, or nothing when there is none.
     *
     * @param  ?int  $of  the change that was the latest where this was asked for, 0 where there was none; refused when it is another by now
     */
    public function undo(User $user, ?int $of = null): ?string
    {
        return DB::transaction(function () use ($user, $of): ?string {
            $this->lock($user);
            $change = DrawerChange::query()->where('user_id', $user->id)->orderByDesc('id')->first();
            ChangedElsewhere::check($of, $change->id ?? 0, $change?->words);
            if ($change === null) {
                return null;
            }
            /** @var array{rows: list<array<string, mixed>>, created: list<int>, uses: list<int>} $before */
            $before = json_decode((string) gzuncompress($change->before), true, 512, JSON_THROW_ON_ERROR);
            foreach (array_chunk($before['created'], self::CHUNK) as $ids) {
                PencilRow::query()->where('user_id', $user->id)->whereIn('id', $ids)->delete();
            }
            PencilUse::query()->whereIn('id', $before['uses'])->whereIn('pencil_id', PencilRow::query()->where('user_id', $user->id)->select('id'))->delete();
            foreach (array_chunk(array_map(self::plain(...), $before['rows']), self::CHUNK) as $rows) {
                DB::table('pencils')->upsert($rows, ['id']);
            }
            $change->delete();

            return $change->words;
        });
    }

    /**
     * What follows from another column is not written.
     *
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private static function plain(array $row): array
    {
        unset($row['owned']);

        return $row;
    }
}
