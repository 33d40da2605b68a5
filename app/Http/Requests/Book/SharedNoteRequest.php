<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use Illuminate\Foundation\Http\FormRequest;

/** What somebody says who looks on: which photo the colours should follow, and a few words. */
final class SharedNoteRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => ['present', 'nullable', 'integer'], 'note' => ['present', 'nullable', 'string', 'max:1000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.max' => 'A note has up to 1000 characters.'];
    }
}
