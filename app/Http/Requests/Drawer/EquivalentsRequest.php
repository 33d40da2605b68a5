<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\ToPrint;
use Illuminate\Foundation\Http\FormRequest;

/** Two lines side by side; the one without a name is written as nothing. */
final class EquivalentsRequest extends FormRequest
{
    use ToPrint;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'from' => ['present', 'nullable', 'string', 'max:80'],
            'to' => ['present', 'nullable', 'string', 'max:80'],
            ...self::sizeRules(),
        ];
    }

    public function from(): string
    {
        return (string) $this->string('from');
    }

    public function to(): string
    {
        return (string) $this->string('to');
    }
}
