<?php

declare(strict_types=1);

namespace App\Services;

use App\Models\PencilRow;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Pencil;

/** An account's drawer, between the database and the core. */
final class DrawerKeeper
{
    public function drawerOf(User $user): Drawer
    {
        return new Drawer(self::pencils($this->rows($user, owned: true)->all()));
    }

    /** Every pencil the account knows, owned or not; a plan made with another drawer still finds its pencils. */
    public function shelfOf(User $user): Drawer
    {
        return new Drawer(self::pencils($this->rows($user)->all()));
    }

    /** Names everything a recipe from this drawer depends on; or all that the account knows, owned or not. */
    public function fingerprint(User $user, bool $owned = true): string
    {
        $latest = DB::table('pencils')->where('user_id', $user->id)->when($owned, static fn ($query) => $query->where('owned', true))->selectRaw('count(*) as n, sum(owned) as owned, max(updated_at) as at, sum(crc32(concat(line, number, heavy, fit))) as sum')->first();

        return md5($user->id.'/'.json_encode($latest));
    }

    /**
     * Puts pencils in: those with a known line and number are brought up to date, and all others become "not owned", so that
     * the drawer is exactly what the file says and nothing is forgotten.
     *
     * @param  list<Pencil>  $pencils
     */
    public function replace(User $user, array $pencils): void
    {
        DB::transaction(function () use ($user, $pencils): void {
            $user->pencils()->update(['owned' => false]);
            foreach ($pencils as $pencil) {
                $columns = PencilRow::columnsOf($pencil);
                $user->pencils()->updateOrCreate(['line' => $columns['line'], 'number' => $columns['number']], $columns);
            }
        });
    }

    /**
     * @param  array<int, PencilRow>  $rows
     * @return list<Pencil>
     */
    private static function pencils(array $rows): array
    {
        return array_values(array_map(static fn (PencilRow $row): Pencil => $row->toPencil(), $rows));
    }

    /** @return Collection<int, PencilRow> */
    private function rows(User $user, bool $owned = false): Collection
    {
        return PencilRow::query()->where('user_id', $user->id)->when($owned, static fn (Builder $query) => $query->where('owned', true))->orderBy('line')->orderBy('number')->get();
    }
}
