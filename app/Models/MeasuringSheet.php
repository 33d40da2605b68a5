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

    /** @return array<string, SheetPencil> by identifier */
    public function listed(): array
    {
        $listed = [];
        foreach ($this->pencils as $p) {
            $pencil = new SheetPencil($p['line'], $p['number'], $p['name']);
            $listed[$pencil->id()] = $pencil;
        }

        return $listed;
    }

    public function sheet(): ChartSheet
    {
        return ChartSheet::of(array_map(strval(...), array_keys($this->listed())), $this->size);
    }
}
