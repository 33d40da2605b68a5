<?php

declare(strict_types=1);

namespace App\Services;

use App\Models\PencilRow;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Pencil;

/** An account's drawer, between the database and the core. */
final class DrawerKeeper
{
    public function drawerOf(User $user): Drawer
    {
        return new Drawer($this->rows($user, owned: true)->map(static fn (PencilRow $row): Pencil => $row->toPencil())->values()->all());
    }

    /** Every pencil the account knows, owned or not; a plan made with another drawer still finds its pencils. */
    public function shelfOf(User $user): Drawer
    {
        return new Drawer($this->rows($user)->map(static fn (PencilRow $row): Pencil => $row->toPencil())->values()->all());
    }

    /** Names everything a recipe from this drawer depends on. */
    public function fingerprint(User $user): string
    {
        $latest = $user->pencils()->where('owned', true)->selectRaw('count(*) as n, max(updated_at) as at, sum(crc32(concat(line, number, heavy, fit))) as sum')->toBase()->first();

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

    /** @return \Illuminate\Database\Eloquent\Collection<int, PencilRow> */
    private function rows(User $user, bool $owned = false): \Illuminate\Database\Eloquent\Collection
    {
        return $user->pencils()->when($owned, static fn ($query) => $query->where('owned', true))->orderBy('line')->orderBy('number')->get();
    }
}
