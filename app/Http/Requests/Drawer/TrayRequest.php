<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Drawer\DrawerOrder;

/** The pencils as they lie: in which order, of which line, with those that are only wanted. */
final class TrayRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'order' => ['sometimes', Rule::in(DrawerOrder::KINDS)],
            'line' => ['sometimes', 'nullable', 'string', 'max:80'],
            'wanted' => ['sometimes', 'boolean'],
        ];
    }

    public function order(): string
    {
        return (string) $this->string('order', 'gradual');
    }

    /** Nothing for every line. */
    public function line(): ?string
    {
        return $this->has('line') ? (string) $this->string('line') : null;
    }
}
