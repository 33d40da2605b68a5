<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;

/** The pencils of a sheet as somebody writes them down. */
final class NewSheetRequest extends FormRequest
{
    use OnSheetPaper;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'pencils' => ['required', 'string', 'max:12000'],
            'line' => ['present', 'nullable', 'string', 'max:60'],
            'size' => ['required', Rule::in(array_keys(ChartSheet::SIZES))],
            ...self::paperRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'pencils.required' => 'List your pencils first: one per line, the number and, if you like, the name.',
            'pencils.max' => 'This is too long: up to sixty pencils fit on a chart.',
            'paper.in' => self::PAPER_SAYS,
        ];
    }

    /** @return non-empty-list<SheetPencil> */
    public function pencils(): array
    {
        return SheetPencil::listed((string) $this->string('pencils'), (string) $this->string('line'));
    }
}
