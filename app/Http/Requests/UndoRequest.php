<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** An undo or redo. It may say on what it was asked for, so that a change of another window is never taken back in its place. */
final class UndoRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['of' => ['sometimes', 'nullable', 'integer', 'min:0']];
    }

    /** Null when the request does not say. */
    public function meant(): ?int
    {
        return $this->filled('of') ? $this->integer('of') : null;
    }
}
