<?php

declare(strict_types=1);

namespace App\Services;

use App\Models\PlanChange;
use App\Models\PlanEntry;
use App\Models\Study;
use Illuminate\Support\Facades\DB;

/** Changes of a study's plan, each in one transaction with the note that lets undo take it back. */
final class PlanDesk
{
    /** @param  array<string, mixed>  $columns of the entry */
    public function add(Study $study, array $columns): PlanEntry
    {
        return DB::transaction(function () use ($study, $columns): PlanEntry {
            $entry = $study->entries()->create($columns);
            $this->note($study, $entry, PlanChange::ADDED);

            return $entry;
        });
    }

    public function rename(Study $study, PlanEntry $entry, string $name): void
    {
        if ($entry->name === $name) {
            return;
        }
        DB::transaction(function () use ($study, $entry, $name): void {
            $this->note($study, $entry, PlanChange::RENAMED, $entry->name);
            $entry->update(['name' => $name]);
        });
    }

    public function remove(Study $study, PlanEntry $entry): void
    {
        DB::transaction(function () use ($study, $entry): void {
            $this->note($study, $entry, PlanChange::REMOVED);
            $entry->delete();
        });
    }

    /** Takes back the latest change and says what it was, or nothing when there is none. */
    public function undo(Study $study): ?PlanChange
    {
        return DB::transaction(function () use ($study): ?PlanChange {
            $change = PlanChange::query()->where('study_id', $study->id)->with('entry')->orderByDesc('id')->lockForUpdate()->first();
            if ($change === null) {
                return null;
            }
            match ($change->kind) {
                PlanChange::ADDED => $change->entry->delete(),
                PlanChange::REMOVED => $change->entry->restore(),
                PlanChange::RENAMED => $change->entry->update(['name' => $change->name_before]),
                default => throw new \LogicException("unknown kind of change {$change->kind}"),
            };
            $change->delete();

            return $change;
        });
    }

    private function note(Study $study, PlanEntry $entry, string $kind, ?string $nameBefore = null): void
    {
        $study->changes()->create(['plan_entry_id' => $entry->id, 'kind' => $kind, 'name_before' => $nameBefore]);
    }
}
