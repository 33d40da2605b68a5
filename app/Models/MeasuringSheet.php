<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;

/**
 * A sheet on which somebody colours pencils in to measure them, with what the photos of its pages said.
 *
 * @property int $id
 * @property int $user_id
 * @property string $size
 * @property list<array{line: string, number: string, name: string}> $pencils
 * @property array<int, list<array{pencil: string, kind: string, hex: string, filled: bool, doubt: float, note: ?string, corrected: bool}>> $pages by page, what was read
 */
final class MeasuringSheet extends Model
{
    protected $fillable = ['user_id', 'size', 'pencils', 'pages'];

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

    public function sheet(): ChartSheet
    {
        return ChartSheet::of(array_map(static fn (SheetPencil $p): string => $p->id(), $this->listed()), $this->size);
    }
}
