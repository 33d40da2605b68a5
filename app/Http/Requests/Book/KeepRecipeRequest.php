<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use Illuminate\Foundation\Http\FormRequest;

/** What goes into the book: a zone's sequence, or what was kept for a spot; and what is said of it. */
final class KeepRecipeRequest extends FormRequest
{
    use SaysOfRecipe;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'zone' => ['required_without:spot', 'integer', 'min:1', 'max:255'],
            'spot' => ['required_without:zone', 'integer', 'min:1'],
            ...self::sayingRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['zone.required_without' => 'Choose a zone, or a spot with a recipe.', ...self::sayingMessages()];
    }
}
