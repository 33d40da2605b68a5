<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use Illuminate\Foundation\Http\FormRequest;

/** What is noted of a session; nothing takes the note away. */
final class SessionNoteRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['session' => ['required', 'integer', 'min:1'], 'note' => ['present', 'nullable', 'string', 'max:2000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.max' => 'A note has up to 2000 characters.'];
    }
}
