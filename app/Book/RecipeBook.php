<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\BookRecipeRow;
use App\Models\User;
use App\Quota\Room;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Book\Recipes\BookRecipe;
use KnottyPrism\Core\Book\Recipes\ColourSearch;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Formats\Drawers\Json;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Recipes that somebody has kept for good, whatever becomes of the study; found by colour, by word, by pencil and by paper. */
final class RecipeBook
{
    private const MOST = 20_000;

    /** @param  array{study_id: ?int, name: string, words: string, paper: string, outcome: string, cutout: ?string}  $said */
    public function keep(User $user, BookRecipe $recipe, array $said): int
    {
        return DB::transaction(static function () use ($user, $recipe, $said): int {
            if (BookRecipeRow::query()->where('user_id', $user->id)->count() >= self::MOST) {
                throw ImpossibleChange::because(sprintf('Your Book is full: it holds %d recipes. Remove one first.', self::MOST));
            }
            app(Room::class)->keepFor($user, strlen($said['cutout'] ?? ''));
            $paper = PaperShelf::named($said['paper']);
            $sequence = $recipe->sequence();
            $shades = array_map(
                static fn (Shade $s, int $i): array => [
                    'shade' => $s->name,
                    'name' => $s->called,
                    'lab' => $s->target->toArray(),
                    'weight' => $s->weight,
                    'strata' => $sequence->stackIn($i)->on($paper)->dab(),
                ],
                $recipe->shades,
                array_keys($recipe->shades),
            );
            $row = BookRecipeRow::query()->create([
                ...$said,
                'user_id' => $user->id,
                'shades' => $shades,
                'passes' => $recipe->passes->toArray(),
                'search' => '',
                'pencils' => Json::pencils(
                    array_map(static fn (Pencil $p): ShelfRow => ShelfRow::of($p->record), $recipe->pencils->pencils),
                ),
            ]);
            self::index($row, $recipe);

            return $row->id;
        });
    }

    /**
     * One from another account, as it was there, unless it is here already.
     *
     * @param  array<string, mixed>  $columns
     * @return bool whether it was taken in
     *
     * @throws BadFile when it can't be laid
     */
    public function bringIn(User $user, array $columns): bool
    {
        $row = (new BookRecipeRow())->forceFill([...$columns, 'user_id' => $user->id, 'search' => '']);
        try {
            PaperShelf::named($row->paper);
            $recipe = $row->recipe();
            $recipe->sequence();
        } catch (CoreError|\ValueError $error) {
            throw BadFile::because("The recipe “{$row->name}” of the account file is damaged. {$error->getMessage()}");
        }
        if (
            BookRecipeRow::query()
                ->where('user_id', $user->id)
                ->where('name', $row->name)
                ->where('created_at', $row->created_at)
                ->exists()
        ) {
            return false;
        }
        $row->save();
        self::index($row, $recipe);

        return true;
    }

    /** @param  array{name?: string, words?: string, outcome?: string}  $said */
    public function change(User $user, int $id, array $said): int
    {
        $row = $this->row($user, $id);
        $row->update($said);
        $row->update(['search' => self::searched($row)]);

        return $id;
    }

    public function remove(User $user, int $id): int
    {
        $this->row($user, $id)->delete();

        return $id;
    }

    /** Puts back what was taken out. */
    public function restore(User $user, int $id): int
    {
        $row = BookRecipeRow::onlyTrashed()->where('user_id', $user->id)->find($id) ?? throw new ModelNotFoundException();
        $row->restore();

        return $id;
    }

    /** @throws ModelNotFoundException when it is not hers, or was taken out */
    public function row(User $user, int $id): BookRecipeRow
    {
        return BookRecipeRow::query()->where('user_id', $user->id)->find($id) ?? throw new ModelNotFoundException();
    }

    /**
     * @return array{list<BookRecipeRow>, array<int, float>, int} so many of what was found, their ΔE00 where a colour was asked for, and
     *   how many there are in all
     */
    public function find(User $user, BookSearch $search, int $count): array
    {
        $found = $this->found($user, $search);
        if ($search->like === null) {
            /** @var list<BookRecipeRow> $rows */
            $rows = (clone $found)->orderByDesc('id')->skip($search->skip)->take($count)->get()->all();

            return [$rows, [], $found->count()];
        }
        $near = ColourSearch::nearest(
            $this->colours($user, $search->like, $search->isEmptyBut() ? null : $found),
            $search->like,
            PHP_INT_MAX,
        );
        $ids = array_slice(array_keys($near), $search->skip, $count);
        $rows = BookRecipeRow::query()->whereKey($ids)->get()->keyBy('id');

        return [
            array_values(
                array_map(static fn (int $id): BookRecipeRow => $rows[$id] ?? throw new \LogicException('found a moment ago'), $ids),
            ),
            $near,
            count($near),
        ];
    }

    /** @return Builder<BookRecipeRow> */
    private function found(User $user, BookSearch $search): Builder
    {
        $query = BookRecipeRow::query()->where('user_id', $user->id);
        foreach ([...$search->words(), ...$search->pencil === '' ? [] : [self::marked($search->pencil)]] as $word) {
            $query->where('search', 'like', '%'.addcslashes($word, '%_\\').'%');
        }

        return $search->paper === '' ? $query : $query->where('paper', $search->paper);
    }

    /**
     * @param  ?Builder<BookRecipeRow>  $among  null when any of hers will do
     * @return \Generator<array{int, Lab}>
     */
    private function colours(User $user, Lab $like, ?Builder $among): \Generator
    {
        $query = DB::table('book_colours')
            ->join('book_recipes', 'book_recipes.id', '=', 'book_colours.book_recipe_id')
            ->whereNull('book_recipes.deleted_at')
            ->where('book_colours.user_id', $user->id)
            ->whereBetween('book_colours.l', [$like->l - ColourSearch::LIGHTNESS, $like->l + ColourSearch::LIGHTNESS]);
        if ($among !== null) {
            $query->whereIn('book_recipes.id', $among->select('id'));
        }
        foreach ($query->get(['book_colours.book_recipe_id', 'book_colours.l', 'book_colours.a', 'book_colours.b']) as $row) {
            yield [(int) $row->book_recipe_id, new Lab((float) $row->l, (float) $row->a, (float) $row->b)];
        }
    }

    private static function index(BookRecipeRow $row, BookRecipe $recipe): void
    {
        $row->update(['search' => self::searched($row)]);
        DB::table('book_colours')->insert(
            array_map(
                static fn (Shade $s): array => [
                    'book_recipe_id' => $row->id,
                    'user_id' => $row->user_id,
                    'l' => $s->target->l,
                    'a' => $s->target->a,
                    'b' => $s->target->b,
                ],
                $recipe->shades,
            ),
        );
    }

    private static function searched(BookRecipeRow $row): string
    {
        $text = [
            $row->name,
            $row->words,
            $row->paper,
            $row->outcome,
            ...array_map(static fn (array $s): string => $s['name'], $row->shades),
        ];
        foreach ($row->pencils as $pencil) {
            $id = trim(($pencil['line'] ?? '').'/'.$pencil['number'], '/');
            array_push($text, self::marked($id), (string) ($pencil['name'] ?? ''));
        }

        return mb_strtolower(implode(' ', $text));
    }

    /** So that a pencil is found and not another whose number begins with it. */
    private static function marked(string $pencil): string
    {
        return '|'.mb_strtolower($pencil).'|';
    }
}
