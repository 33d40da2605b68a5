<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Chart\Sheet\BoxKind;

/** A colour put right by hand, or a box left out. */
final class SheetColourRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'pencil' => ['required', 'string', 'max:130'],
            'kind' => ['required', Rule::in(array_column(BoxKind::OF_PENCIL, 'value'))],
            'hex' => ['present', 'nullable', 'string', 'regex:/^#[0-9a-f]{6}$/Di'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['hex.regex' => 'A colour is written like #a1b2c3; leave it empty to leave the box out.'];
    }
}
