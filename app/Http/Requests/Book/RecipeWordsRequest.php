<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use Illuminate\Foundation\Http\FormRequest;

/** Another name, other words, or how a recipe came out. */
final class RecipeWordsRequest extends FormRequest
{
    use SaysOfRecipe;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::sayingRules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::sayingMessages();
    }
}
