<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use Illuminate\Foundation\Http\FormRequest;

/** Another name for a recipe kept. */
final class KeptRecipeNameRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => KeptRecipeRequest::NAME];
    }

    public function entryName(): string
    {
        return trim((string) $this->string('name'));
    }
}
