<?php

declare(strict_types=1);

namespace App\Answers;

use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\KeptRecipe;
use App\Models\Study;
use App\Models\User;
use App\Plans\KeptRecipes;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use Illuminate\Database\Eloquent\Collection;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * The recipes kept for spots of a study, each predicted again from its stack, light to dark as a palette strip is read.
 *
 * @phpstan-import-type KeptRecipeJson from \Described
 * @phpstan-import-type KeptRecipesJson from \Described
 */
final class KeptRecipeAnswers
{
    public function __construct(
        private readonly DrawerKeeper $drawers,
        private readonly KeptRecipes $kept,
        private readonly HandKeeper $hands,
    ) {
    }

    /** @return KeptRecipesJson */
    public function all(User $user, Study $study): array
    {
        $shelf = $this->drawers->shelfOf($user);
        $latest = $this->kept->latest($study);

        return [
            'entries' => array_values(
                self::lightToDark($study)->map(fn (KeptRecipe $entry): array => $this->entry($user, $entry, $shelf))->all(),
            ),
            'stamp' => $latest->id ?? 0,
            'undoWords' => $latest?->words,
        ];
    }

    /** @return list<array{name: string, outcome: Outcome}> what a card prints */
    public function outcomes(User $user, Study $study): array
    {
        $shelf = $this->drawers->shelfOf($user);
        $outcomes = [];
        foreach (self::lightToDark($study) as $entry) {
            $answer = $this->predicted($user, $entry, $shelf);
            if ($answer !== null) {
                $outcomes[] = ['name' => $entry->name, 'outcome' => $answer->outcomes[0]];
            }
        }

        return $outcomes;
    }

    /** @return KeptRecipeJson */
    private function entry(User $user, KeptRecipe $entry, Drawer $shelf): array
    {
        $answer = $this->predicted($user, $entry, $shelf);

        return [
            'id' => $entry->id,
            'name' => $entry->name,
            'x' => $entry->x,
            'y' => $entry->y,
            'ring' => $entry->ring,
            'paper' => $entry->paper,
            'stack' => $entry->stack,
            'label' => $entry->label,
            'target' => RecipeResource::reading($entry->target()),
            'recipe' => $answer === null ? null : SequenceResource::answer($answer, $this->hands->paper($user, $entry->paper)),
        ];
    }

    /** @return Collection<int, KeptRecipe> */
    private static function lightToDark(Study $study): Collection
    {
        return KeptRecipe::query()->where('study_id', $study->id)->orderByDesc('target_l')->orderBy('id')->get();
    }

    /** Nothing when a pencil has left the shelf since; the entry stays, with its stack as text. */
    private function predicted(User $user, KeptRecipe $entry, Drawer $shelf): ?SequenceAnswer
    {
        try {
            $sequence = Sequence::ofStack(StackText::read($entry->stack, $shelf));

            return SequenceAnswer::of(
                RecipeLabel::from($entry->label),
                $sequence,
                [Shade::ofSpot($entry->target())],
                $this->hands->paper($user, $entry->paper),
                Mode::ColourAndValue,
            );
        } catch (CoreError) {
            return null;
        }
    }
}
