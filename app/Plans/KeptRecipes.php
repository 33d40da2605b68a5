<?php

declare(strict_types=1);

namespace App\Plans;

use App\History\ChangedElsewhere;
use App\Models\KeptRecipe;
use App\Models\KeptRecipeChange;
use App\Models\Study;
use Illuminate\Support\Facades\DB;

/**
 * Changes of the recipes kept for spots, each in one transaction with the note that lets undo take it back. Every change returns the
 * id of the latest note, which is what an undo stands on.
 */
final class KeptRecipes
{
    /** @param  array<string, mixed>  $columns of the entry */
    public function add(Study $study, array $columns): int
    {
        return $this->during($study, fn (): int => $this->note($study, $study->entries()->create($columns), KeptRecipeChange::ADDED));
    }

    public function rename(Study $study, KeptRecipe $entry, string $name): int
    {
        return $this->during($study, function () use ($study, $entry, $name): int {
            $entry->refresh();
            if ($entry->name === $name) {
                return $this->latest($study)->id ?? 0;
            }
            $note = $this->note($study, $entry, KeptRecipeChange::RENAMED, $entry->name);
            $entry->update(['name' => $name]);

            return $note;
        });
    }

    public function remove(Study $study, KeptRecipe $entry): int
    {
        return $this->during($study, function () use ($study, $entry): int {
            $note = $this->note($study, $entry, KeptRecipeChange::REMOVED);
            $entry->delete();

            return $note;
        });
    }

    /**
     * Takes back the latest change; nothing where there is none.
     *
     * @param  ?int  $of  the note that was the latest where this was asked for; 0 where there was none
     *
     * @throws ChangedElsewhere when another is the latest by now
     */
    public function undo(Study $study, ?int $of = null): int
    {
        return $this->during($study, function () use ($study, $of): int {
            $change = $this->latest($study);
            ChangedElsewhere::check($of, $change->id ?? 0, $change?->words());
            if ($change === null) {
                return 0;
            }
            match ($change->kind) {
                KeptRecipeChange::ADDED => $change->entry->delete(),
                KeptRecipeChange::REMOVED => $change->entry->restore(),
                KeptRecipeChange::RENAMED => $change->entry->update(['name' => $change->name_before]),
                default => throw new \LogicException("unknown kind of change {$change->kind}"),
            };
            $change->delete();

            return $this->latest($study)->id ?? 0;
        });
    }

    /** The change that undo would take back. */
    public function latest(Study $study): ?KeptRecipeChange
    {
        return KeptRecipeChange::query()->where('study_id', $study->id)->with('entry')->orderByDesc('id')->first();
    }

    /**
     * Nobody else changes the same recipes meanwhile.
     *
     * @param  \Closure(): int  $change
     */
    private function during(Study $study, \Closure $change): int
    {
        return DB::transaction(static function () use ($study, $change): int {
            Study::query()->lockForUpdate()->findOrFail($study->id);

            return $change();
        });
    }

    private function note(Study $study, KeptRecipe $entry, string $kind, ?string $nameBefore = null): int
    {
        return $study->changes()->create(['plan_entry_id' => $entry->id, 'kind' => $kind, 'name_before' => $nameBefore])->id;
    }
}
