<?php

declare(strict_types=1);

namespace App\Answers\Book;

use App\Book\BookSearch;
use App\Book\RecipeBook;
use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\BookRecipeRow;
use App\Models\Study;
use App\Models\User;
use App\Resources\BookResource;
use App\Resources\Figures;
use KnottyPrism\Core\Book\Recipes\LayAgain;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\Outcome;

/**
 * What stands in the book of recipes, and what comes of it with today's drawer.
 *
 * @phpstan-import-type BookRecipeJson from \Described
 * @phpstan-import-type BookRecipesJson from \Described
 * @phpstan-import-type LaidAgainJson from \Described
 */
final class BookAnswers
{
    /** Recipes told at once. */
    private const TOLD = 24;

    /** Dabs on printed swatch pages. */
    private const PRINTED = 40;

    public function __construct(
        private readonly RecipeBook $book,
        private readonly DrawerKeeper $drawers,
        private readonly HandKeeper $hands,
    ) {
    }

    /** @return BookRecipesJson */
    public function find(User $user, BookSearch $search): array
    {
        [$rows, $near, $all] = $this->book->find($user, $search, self::TOLD);
        $studies = Study::query()->where('user_id', $user->id)->pluck('name', 'id');

        return [
            'recipes' => array_map(
                static fn (BookRecipeRow $r): array => self::entry($r, $near[$r->id] ?? null, (string) ($studies[$r->study_id] ?? '')),
                $rows,
            ),
            'found' => $all,
            'more' => max(0, $all - $search->skip - count($rows)),
        ];
    }

    /** @return BookRecipeJson */
    private static function entry(BookRecipeRow $row, ?float $apart, string $study): array
    {
        $pencils = [];
        foreach ($row->pencils as $p) {
            $pencils[trim(($p['line'] ?? '').'/'.$p['number'], '/')] = [
                'number' => (string) $p['number'],
                'name' => (string) ($p['name'] ?? ''),
            ];
        }

        return [
            'id' => $row->id,
            'name' => $row->name,
            'words' => $row->words,
            'paper' => $row->paper,
            'study' => $study,
            'kept' => $row->created_at->getTimestamp(),
            'outcome' => $row->outcome,
            'cutout' => $row->cutout === null ? null : 'data:image/jpeg;base64,'.$row->cutout,
            'deltaE00' => $apart === null ? null : Figures::difference($apart),
            'shades' => BookResource::shades($row->shades),
            'passes' => BookResource::passes($row->passes, $pencils),
        ];
    }

    /** @return LaidAgainJson */
    public function laid(User $user, int $id, string $paper): array
    {
        $row = $this->book->row($user, $id);
        $drawer = $this->drawers->drawerOf($user);
        if ($drawer->usable()->pencils === []) {
            throw ImpossibleChange::because('Your drawer is empty. Add pencils first; the recipe stays in the Book.');
        }
        $on = $this->hands->paper($user, $paper);

        return ['id' => $id, 'paper' => $paper, ...BookResource::laid(LayAgain::with($row->recipe(), $drawer, $on), $on)];
    }

    /** @return list<array{name: string, outcome: Outcome}> what swatch pages print: every shade of what is found */
    public function swatches(User $user, BookSearch $search): array
    {
        [$rows] = $this->book->find($user, $search, self::PRINTED);
        $swatches = [];
        foreach ($rows as $row) {
            try {
                $recipe = $row->recipe();
                $sequence = $recipe->sequence();
                $paper = $this->hands->paper($user, $row->paper);
                foreach ($recipe->shades as $i => $shade) {
                    $name = count($recipe->shades) === 1 ? $row->name : sprintf('%s, %s', $row->name, $shade->called());
                    $swatches[] = [
                        'name' => $name,
                        'outcome' => Outcome::of($shade, $sequence->stackIn($i), $paper, Mode::ColourAndValue),
                    ];
                }
            } catch (CoreError) {
                // What can't be laid any more can't be printed.
            }
        }

        return array_slice($swatches, 0, self::PRINTED);
    }
}
