<?php

declare(strict_types=1);

namespace App\Drawers;

use App\Cache\Computed;
use App\Models\PencilRow;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** An account's drawer, between the database and the core. */
final class DrawerKeeper
{
    private const KEPT_SECONDS = 24 * 3600;

    public function drawerOf(User $user): Drawer
    {
        return new Drawer(self::pencils($this->rows($user, owned: true)->all()));
    }

    /** Every pencil the account knows, owned or not; a plan made with another drawer still finds its pencils. */
    public function shelfOf(User $user): Drawer
    {
        // Rows with their fits are many figures as text; asked for with nearly everything.
        return Computed::kept(
            'shelf/'.$this->fingerprint($user, owned: false),
            self::KEPT_SECONDS,
            fn (): Drawer => new Drawer(self::pencils($this->rows($user)->all())),
        );
    }

    /** Names everything a recipe from this drawer depends on, notes and lengths left out; or all that the account knows, owned or not. */
    public function fingerprint(User $user, bool $owned = true): string
    {
        $all = DB::table('pencils')
            ->where('user_id', $user->id)
            ->whereNotNull('fit')
            ->when($owned, static fn ($query) => $query->where('owned', true))
            ->selectRaw(
                "count(*) as n, sum(owned) as owned, sum(crc32(concat_ws('|', line, number, name, binder, heavy, lightfast, owned, "
                    .'fit))) as sum',
            )
            ->first();

        return md5($user->id.'/'.json_encode($all));
    }

    /** How many pencils the queue has still to fit. */
    public function unfitted(User $user): int
    {
        return $this->query($user)->whereNull('fit')->count();
    }

    /** @return list<ShelfRow> the drawer as its owner keeps it, for a file */
    public function shelfRows(User $user): array
    {
        return array_values($this->query($user)->get()->map(static fn (PencilRow $row): ShelfRow => $row->shelfRow())->all());
    }

    /** @return array<string, StockNote> by identifier */
    public function stock(User $user): array
    {
        $notes = [];
        foreach (
            $this->query($user)->get(['id', 'line', 'number', 'stock', 'length_left', 'discontinued', 'formerly', 'notes']) as $row
        ) {
            $notes[$row->line === '' ? $row->number : "$row->line/$row->number"] = $row->stockNote();
        }

        return $notes;
    }

    /** @return array<string, array{pencils: int, owned: int}> by line */
    public function lines(User $user): array
    {
        $lines = [];
        foreach (
            DB::table('pencils')
                ->where('user_id', $user->id)
                ->groupBy('line')
                ->orderBy('line')
                ->selectRaw('line, count(*) as pencils, sum(owned) as owned')
                ->get() as $row
        ) {
            $lines[(string) $row->line] = ['pencils' => (int) $row->pencils, 'owned' => (int) $row->owned];
        }

        return $lines;
    }

    /**
     * @return PencilRow the one with this identifier, small and capital letters alike
     *
     * @throws UnknownPencil
     */
    public function row(User $user, string $id): PencilRow
    {
        return PencilRow::query()
            ->where('user_id', $user->id)
            ->where(DB::raw("concat(if(line = '', '', concat(line, '/')), number)"), trim($id))
            ->first() ?? throw UnknownPencil::named($id, []);
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
        return PencilRow::query()
            ->where('user_id', $user->id)
            ->where('owned', '>=', $owned)
            ->where('fit', '!=', null)
            ->orderBy('line')
            ->orderBy('number')
            ->get();
    }

    /** @return Builder<PencilRow> */
    private function query(User $user): Builder
    {
        return PencilRow::query()->where('user_id', $user->id)->orderBy('line')->orderBy('number');
    }

    /**
     * Adds pencils that this account does not know; those it knows stay as they are.
     *
     * @param  list<ShelfRow>  $rows
     * @return int how many were added; they are not fitted yet
     */
    public function addUnknown(User $user, array $rows): int
    {
        $known = array_fill_keys(
            array_map(static fn (ShelfRow $r): string => mb_strtolower($r->record->id()), $this->shelfRows($user)),
            true,
        );
        $new = array_filter($rows, static fn (ShelfRow $row): bool => ! isset($known[mb_strtolower($row->record->id())]));
        foreach ($new as $row) {
            $user->pencils()->create(PencilRow::columnsOfRow($row));
        }

        return count($new);
    }
}
