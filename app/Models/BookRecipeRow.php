<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use KnottyPrism\Core\Book\Recipes\BookRecipe;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * A recipe of somebody's book.
 *
 * @phpstan-type KeptShade array{shade: string, name: string, lab: array{float, float, float}, weight: float, strata: list<string>}
 *
 * @property int $id
 * @property int $user_id
 * @property ?int $study_id
 * @property string $name
 * @property string $words subject and whatever else it is to be found by
 * @property string $paper
 * @property non-empty-list<KeptShade> $shades
 * @property list<array{tool: string, pressures: array<string, string>}> $passes
 * @property list<array<string, mixed>> $pencils
 * @property string $outcome how it turned out, in words
 * @property ?string $cutout
 * @property Carbon $created_at
 */
final class BookRecipeRow extends Model
{
    use SoftDeletes;

    protected $table = 'book_recipes';

    protected $fillable = ['user_id', 'study_id', 'name', 'words', 'paper', 'shades', 'passes', 'pencils', 'outcome', 'cutout', 'search'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['shades' => 'array', 'passes' => 'array', 'pencils' => 'array'];
    }

    public function recipe(): BookRecipe
    {
        $records = DrawerFile::records((string) json_encode(['pencils' => $this->pencils], JSON_THROW_ON_ERROR));

        return new BookRecipe(
            array_map(
                static fn (array $s): Shade => new Shade(
                    $s['shade'],
                    new Lab(...array_map(floatval(...), $s['lab'])),
                    (float) $s['weight'],
                    ! ShadeName::from($s['shade'])->isOfValueRun(),
                    $s['name'],
                ),
                $this->shades,
            ),
            SequenceNote::ofArray($this->passes),
            new Drawer(array_map(PencilFit::of(...), $records)),
        );
    }
}
