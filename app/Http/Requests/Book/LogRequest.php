<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use Illuminate\Foundation\Http\FormRequest;

/** Part of the log: how many of its latest sessions are known already. */
final class LogRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['skip' => ['sometimes', 'integer', 'min:0', 'max:100000']];
    }
}
