<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Drawer\Stock\Stock;

/** Several numbers of a line at once, like "601-612, 615", and what they shall be. */
final class RangeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'line' => ['present', 'nullable', 'string', 'max:80'],
            'numbers' => ['required', 'string', 'max:400'],
            'stock' => ['required', Rule::enum(Stock::class)],
        ];
    }

    public function line(): string
    {
        return (string) $this->string('line');
    }

    public function numbers(): string
    {
        return (string) $this->string('numbers');
    }

    public function stock(): Stock
    {
        return Stock::from((string) $this->string('stock'));
    }
}
