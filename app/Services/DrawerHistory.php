<?php

declare(strict_types=1);

namespace App\Services;

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
     * Does a change of some pencils and notes how they were. To be called within a transaction.
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

    /** What would be undone next, in words. */
    public function next(User $user): ?string
    {
        $words = DrawerChange::query()->where('user_id', $user->id)->orderByDesc('id')->value('words');

        return is_string($words) ? $words : null;
    }

    /** Takes back the latest change and says what it was, or nothing when there is none. */
    public function undo(User $user): ?string
    {
        return DB::transaction(function () use ($user): ?string {
            $change = DrawerChange::query()->where('user_id', $user->id)->orderByDesc('id')->lockForUpdate()->first();
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
