<?php

declare(strict_types=1);

namespace App\Http\Requests\Study;

use App\Models\Study;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** What may be changed about a study: its name, paper, the drawing's size and grid, and the photo that the colours follow. */
final class StudyChangeRequest extends FormRequest
{
    private const COLUMNS = [
        'name' => 'name',
        'paper' => 'paper',
        'drawingWidthMm' => 'drawing_width_mm',
        'drawingHeightMm' => 'drawing_height_mm',
        'gridMm' => 'grid_mm',
        'cutPlace' => 'cut_place',
        'colourPhoto' => 'colour_photo_id',
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $study = $this->route('study');

        return [
            'name' => ['sometimes', 'string', 'min:1', 'max:120'],
            'paper' => ['sometimes', Rule::in(PaperShelf::names())],
            'drawingWidthMm' => ['sometimes', 'numeric', 'min:20', 'max:3000'],
            'drawingHeightMm' => ['sometimes', 'numeric', 'min:20', 'max:3000'],
            'gridMm' => ['sometimes', 'numeric', 'min:2', 'max:1000'],
            'cutPlace' => ['sometimes', 'numeric', 'min:0', 'max:1'],
            'colourPhoto' => [
                'sometimes',
                'integer',
                Rule::exists('photos', 'id')->where('study_id', $study instanceof Study ? $study->id : 0),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'drawingWidthMm.*' => 'The drawing may be 20 to 3000 mm wide.',
            'drawingHeightMm.*' => 'The drawing may be 20 to 3000 mm high.',
            'gridMm.*' => 'A square of the grid may be 2 to 1000 mm wide.',
            'colourPhoto.*' => 'That photo is not one of this study.',
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $columns = [];
        foreach (self::COLUMNS as $field => $column) {
            if ($this->has($field)) {
                $columns[$column] = $this->validated($field);
            }
        }

        return $columns;
    }
}
