<?php

declare(strict_types=1);

namespace App\Plans;

use App\History\ChangedElsewhere;
use App\History\Reversals;
use App\Models\KeptRecipe;
use App\Models\Reversal;
use App\Models\Study;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Error\ImpossibleChange;

/**
 * Changes of the recipes kept for spots, each in one transaction with the note that lets undo take it back. Every change returns the
 * id of the latest note, which is what an undo stands on.
 */
final class KeptRecipes
{
    private const TABLE = 'kept_recipes';

    private const MOST = 1000;

    /** @param  array<string, mixed>  $columns of the recipe */
    public function add(Study $study, array $columns): int
    {
        return $this->during($study, static function (Reversals $history) use ($study, $columns): int {
            if ($study->keptRecipes()->count() >= self::MOST) {
                throw ImpossibleChange::because(sprintf('A study holds up to %d recipes for spots; remove one first.', self::MOST));
            }
            $recipe = $study->keptRecipes()->create($columns);

            return $history->note("the recipe for “{$recipe->name}” was kept", [], [self::TABLE => [$recipe->id]]);
        });
    }

    public function rename(Study $study, KeptRecipe $recipe, string $name): int
    {
        return $this->during($study, function (Reversals $history) use ($recipe, $name): int {
            $recipe->refresh();
            if ($recipe->name === $name) {
                return $history->latest()->id ?? 0;
            }
            $note = $history->note("the recipe for “{$recipe->name}” was renamed to “{$name}”", [
                self::TABLE => [$recipe->getRawOriginal()],
            ]);
            $recipe->update(['name' => $name]);

            return $note;
        });
    }

    public function remove(Study $study, KeptRecipe $recipe): int
    {
        return $this->during($study, static function (Reversals $history) use ($recipe): int {
            $recipe->refresh();
            $note = $history->note("the recipe for “{$recipe->name}” was removed", [self::TABLE => [$recipe->getRawOriginal()]]);
            $recipe->delete();

            return $note;
        });
    }

    /**
     * Takes back the latest change, if there is one.
     *
     * @param  ?int  $of  the note that was the latest where this was asked for; 0 where there was none
     *
     * @throws ChangedElsewhere when another is the latest by now
     */
    public function undo(Study $study, ?int $of = null): int
    {
        return $this->during($study, static function (Reversals $history) use ($of): int {
            $history->undo($of);

            return $history->latest()->id ?? 0;
        });
    }

    /** The change that undo would take back. */
    public function latest(Study $study): ?Reversal
    {
        return self::historyOf($study)->latest();
    }

    /**
     * Nobody else changes the same recipes meanwhile.
     *
     * @param  \Closure(Reversals): int  $change
     */
    private function during(Study $study, \Closure $change): int
    {
        return DB::transaction(static function () use ($study, $change): int {
            Study::query()->lockForUpdate()->findOrFail($study->id);

            return $change(self::historyOf($study));
        });
    }

    private static function historyOf(Study $study): Reversals
    {
        return new Reversals($study->user_id, $study->id);
    }
}
