<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/**
 * A sheet on which somebody colours pencils in to measure them, or a page of swatches that they had, with what the photos of it said.
 *
 * @phpstan-type ReadBox array{pencil: string, kind: string, hex: string, filled: bool, doubt: float, note: ?string, corrected: bool}
 *
 * @property int $id
 * @property int $user_id
 * @property string $size
 * @property string $paper on which it is printed and coloured in
 * @property list<array{line: string, number: string, name: string}> $pencils
 * @property array<int, list<ReadBox>> $pages by page, what was read
 */
final class MeasuringSheet extends Model
{
    /** In place of a size: a page of swatches of the artist's own, read by a grid. */
    public const OWN_PAGE = 'own page';

    protected $fillable = ['user_id', 'size', 'paper', 'pencils', 'pages'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['pencils' => 'array', 'pages' => 'array'];
    }

    /** @return non-empty-list<SheetPencil> */
    public function listed(): array
    {
        $listed = array_map(static fn (array $p): SheetPencil => new SheetPencil($p['line'], $p['number'], $p['name']), $this->pencils);

        return $listed === [] ? throw new \LogicException('a sheet has a pencil at least') : $listed;
    }

    /** @return array<string, SheetPencil> */
    public function byId(): array
    {
        $listed = $this->listed();

        return array_combine(array_map(static fn (SheetPencil $p): string => $p->id(), $listed), $listed);
    }

    public function sheetPaper(): Paper
    {
        return PaperShelf::named($this->paper);
    }

    public function isOwnPage(): bool
    {
        return $this->size === self::OWN_PAGE;
    }

    /** How many pages there are to photograph. */
    public function pageCount(): int
    {
        return $this->isOwnPage() ? 1 : count($this->sheet()->pages);
    }

    /** @throws ImpossibleChange for a page of one's own, which is no sheet of ours */
    public function sheet(): ChartSheet
    {
        if ($this->isOwnPage()) {
            throw ImpossibleChange::because(
                'This is your own page: it is read with a grid over its photo, not by printed markers.',
            );
        }

        return ChartSheet::of(array_map(static fn (SheetPencil $p): string => $p->id(), $this->listed()), $this->size);
    }
}
