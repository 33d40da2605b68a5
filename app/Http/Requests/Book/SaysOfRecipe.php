<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

/** What is said of a recipe of the book, in a request. */
trait SaysOfRecipe
{
    /** @return array<string, list<string>> */
    private static function sayingRules(): array
    {
        return [
            'name' => ['sometimes', 'string', 'min:1', 'max:120'],
            'words' => ['sometimes', 'nullable', 'string', 'max:500'],
            'outcome' => ['sometimes', 'nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    private static function sayingMessages(): array
    {
        return [
            'name.*' => 'A name has 1 to 120 characters.',
            'words.max' => 'Search words have up to 500 characters.',
            'outcome.max' => 'How it turned out has up to 300 characters.',
        ];
    }

    /** @return array{name?: string, words?: string, outcome?: string} */
    public function said(): array
    {
        $said = [];
        foreach (['name', 'words', 'outcome'] as $field) {
            if ($this->has($field)) {
                $said[$field] = trim((string) $this->string($field));
            }
        }

        return $said;
    }
}
