<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\ToPrint;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Drawer\DrawerOrder;

/** A map of where each pencil lies in trays of so many rows and slots. */
final class DrawerMapRequest extends FormRequest
{
    use ToPrint;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'order' => ['sometimes', Rule::in(DrawerOrder::KINDS)],
            'rows' => ['required', 'integer'],
            'slots' => ['required', 'integer'],
            ...self::sizeRules(),
        ];
    }

    public function order(): string
    {
        return (string) $this->string('order', 'gradual');
    }
}
