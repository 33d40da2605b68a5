<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\CarriesPhoto;
use App\Http\Requests\SetsCorners;
use Illuminate\Foundation\Http\FormRequest;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Chart\Sheet\SwatchGrid;

/** The photo of a page of swatches that somebody has, and the grid that they laid over it. */
final class SwatchPageRequest extends FormRequest
{
    use CarriesPhoto, OnSheetPaper, SetsCorners;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'photo' => self::photoRules(),
            'corners' => ['required', 'string', self::CORNERS],
            'rows' => ['required', 'integer', 'between:1,'.SwatchGrid::MOST_ROWS],
            'columns' => ['required', 'integer', 'between:1,'.SwatchGrid::MOST_COLUMNS],
            'pencils' => ['required', 'string', 'max:12000'],
            'line' => ['present', 'nullable', 'string', 'max:60'],
            ...self::paperRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $count = static fn (string $what, int $most): string => "A grid has 1 to $most $what.";

        return [
            ...self::photoMessages('Choose the photo of your page.'),
            'corners.*' => self::CORNERS_SAY,
            'paper.in' => self::PAPER_SAYS,
            'rows.*' => $count('rows', SwatchGrid::MOST_ROWS),
            'columns.*' => $count('columns', SwatchGrid::MOST_COLUMNS),
            'pencils.required' => 'List the pencils in the grid, row by row: one per line, the number and, if you like, the name.',
            'pencils.max' => 'This is too long: up to sixty pencils fit on a chart.',
        ];
    }

    /** @return non-empty-list<SheetPencil> */
    public function pencils(): array
    {
        return SheetPencil::listed((string) $this->string('pencils'), (string) $this->string('line'));
    }
}
