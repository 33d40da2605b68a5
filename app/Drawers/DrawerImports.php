<?php

declare(strict_types=1);

namespace App\Drawers;

use App\Cache\AccountClock;
use App\Models\DrawerImport;
use App\Models\PencilRow;
use App\Models\User;
use App\Work\NotWanted;
use App\Work\Progress;
use App\Work\Standing;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Import\ImportChoices;
use KnottyPrism\Core\Formats\Import\ImportPlan;

/** A drawer file on its way in: looked at first, then taken in as the artist chooses, and undone like any other change. */
final class DrawerImports
{
    /** Rows written at a time, between two looks whether it is still wanted. */
    private const CHUNK = 250;

    /** Rows that a preview shows. */
    private const SHOWN = 200;

    public function __construct(private readonly DrawerHistory $history)
    {
    }

    public function choices(DrawerImport $import): ImportChoices
    {
        $c = $import->choices ?? [];

        return new ImportChoices($c['known'] ?? 'renew', $c['twice'] ?? 'merge', $c['others'] ?? 'keep');
    }

    /** @return array<string, mixed> what taking the file in would do */
    public function preview(DrawerImport $import): array
    {
        $reading = DrawerFile::reading($import->text);
        $plan = ImportPlan::of($reading, $this->known($import->user_id), $this->choices($import));
        $shown = static fn (string $what, array $rows): array => array_map(
            static fn (int $row, ShelfRow $r): array => [
                'row' => $row,
                'what' => $what,
                'id' => $r->record->id(),
                'number' => $r->record->number,
                'name' => $r->record->name,
                'line' => $r->record->line,
                'stock' => $r->stock->words(),
            ],
            array_keys($rows),
            $rows,
        );

        return [
            'counts' => [
                'new' => count($plan->new),
                'changed' => count($plan->changed),
                'same' => count($plan->same),
                'dropped' => count($plan->dropped),
                'problems' => count($reading->problems),
            ],
            'problems' => array_slice($reading->problems, 0, self::SHOWN),
            'twice' => array_slice($plan->twice, 0, self::SHOWN),
            'rows' => array_slice([...$shown('new', $plan->new), ...$shown('changed', $plan->changed)], 0, self::SHOWN),
        ];
    }

    /** @return bool whether it was taken in, and not cancelled meanwhile */
    public function takeIn(DrawerImport $import): bool
    {
        $import->update(['state' => Standing::Working, 'done' => 0]);
        $user = User::query()->findOrFail($import->user_id);
        $reading = DrawerFile::reading($import->text);
        $planned = fn (): ImportPlan => ImportPlan::of($reading, $this->known($user->id), $this->choices($import));
        $import->update(['total' => count($planned()->written())]);
        // All or nothing: what the rest of the world sees of the progress goes by another way than the transaction.
        try {
            DB::transaction(function () use ($import, $user, $planned): void {
                $this->history->lock($user);
                $plan = $planned();
                $rows = $plan->written();
                $touched = $this->rowsOf(
                    $user->id,
                    array_map(static fn (ShelfRow $r): string => $r->record->id(), [...array_values($plan->changed), ...$plan->dropped]),
                );
                $this->history->during($user, sprintf('import %d pencils', count($rows)), array_values($touched), function () use (
                    $import,
                    $user,
                    $rows,
                    $touched,
                ): array {
                    $this->write($import, $user, $rows, $touched);

                    return [];
                });
                $stillWanted = DrawerImport::query()
                    ->whereKey($import->id)
                    ->where('state', Standing::Working)
                    ->update(['state' => Standing::Done, 'done' => count($rows), 'text' => '']);
                if ($stillWanted === 0) {
                    throw new NotWanted();
                }
                AccountClock::tick($user->id);
            });
        } catch (NotWanted) {
            return false;
        } finally {
            Progress::forget(self::key($import));
        }

        return true;
    }

    /** Files of an account that were looked at and not taken in are left off when another comes; those of all accounts, after a day. */
    public function forgetUntaken(?int $userId = null): void
    {
        DrawerImport::query()
            ->where('state', Standing::Preview)
            ->where(
                static fn ($query) => $userId === null
                    ? $query->where('updated_at', '<', now()->subDay())
                    : $query->where('user_id', $userId),
            )
            ->update(['state' => Standing::Cancelled, 'text' => '']);
    }

    /** How many rows are written, while they are. */
    public function done(DrawerImport $import): int
    {
        return $import->state === Standing::Working ? Progress::of(self::key($import)) ?? $import->done : $import->done;
    }

    /** Before it was begun nothing need be stopped; later the work is told. */
    public function cancel(DrawerImport $import): void
    {
        DrawerImport::query()
            ->whereKey($import->id)
            ->whereIn('state', [Standing::Preview, Standing::Waiting, Standing::Working])
            ->update(['state' => Standing::Cancelled, 'text' => '']);
    }

    /**
     * @param  list<ShelfRow>  $rows
     * @param  array<string, PencilRow>  $touched  by identifier
     */
    private function write(DrawerImport $import, User $user, array $rows, array $touched): void
    {
        $now = now();
        foreach (array_chunk($rows, self::CHUNK) as $n => $chunk) {
            if (DrawerImport::query()->whereKey($import->id)->value('state') !== Standing::Working) {
                throw new NotWanted();
            }
            $columns = array_map(static function (ShelfRow $row) use ($user, $touched, $now): array {
                $columns = PencilRow::columnsOfRow($row);
                $old = $touched[mb_strtolower($row->record->id())] ?? null;
                // Measured alike, it need not be fitted again; the line and number stay written as they were.
                $same =
                    $old !== null && array_intersect_key($columns, array_flip(PencilRow::MEASURED)) == $old->only(PencilRow::MEASURED);

                return [
                    ...$columns,
                    ...$old === null ? [] : ['line' => $old->line, 'number' => $old->number],
                    'formerly' => json_encode($columns['formerly'], JSON_THROW_ON_ERROR),
                    'fit' => $same ? json_encode($old->fit, JSON_THROW_ON_ERROR) : null,
                    'user_id' => $user->id,
                    'created_at' => $now,
                    'updated_at' => $now,
                ];
            }, $chunk);
            DB::table('pencils')->upsert(
                $columns,
                ['user_id', 'line', 'number'],
                array_values(array_diff(array_keys($columns[0]), ['user_id', 'line', 'number', 'created_at'])),
            );
            Progress::tell(self::key($import), min(count($rows), ($n + 1) * self::CHUNK));
        }
    }

    /** @return list<ShelfRow> */
    private function known(int $userId): array
    {
        return array_values(
            PencilRow::query()->where('user_id', $userId)->get()->map(static fn (PencilRow $row): ShelfRow => $row->shelfRow())->all(),
        );
    }

    /**
     * @param  list<string>  $ids
     * @return array<string, PencilRow> by identifier in small letters
     */
    private function rowsOf(int $userId, array $ids): array
    {
        $wanted = array_fill_keys(array_map(mb_strtolower(...), $ids), true);
        $rows = [];
        foreach ($wanted === [] ? [] : PencilRow::query()->where('user_id', $userId)->lockForUpdate()->get() as $row) {
            if (isset($wanted[mb_strtolower($row->identifier())])) {
                $rows[mb_strtolower($row->identifier())] = $row;
            }
        }

        return $rows;
    }

    private static function key(DrawerImport $import): string
    {
        return "drawer-import/$import->id";
    }
}
