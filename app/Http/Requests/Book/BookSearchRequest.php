<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use App\Book\BookSearch;
use App\Http\Requests\ToPrint;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** What is looked for in the book: a like colour, words, a pencil, a paper. */
final class BookSearchRequest extends FormRequest
{
    use ToPrint;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'like' => ['sometimes', 'string', 'regex:/^#[0-9a-f]{6}$/Di'],
            'words' => ['sometimes', 'nullable', 'string', 'max:200'],
            'pencil' => ['sometimes', 'nullable', 'string', 'max:120'],
            'paper' => ['sometimes', 'nullable', Rule::in(PaperShelf::names())],
            'skip' => ['sometimes', 'integer', 'min:0', 'max:100000'],
            ...self::sizeRules(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['like.regex' => 'A colour is written like #a1b2c3.', 'words.max' => 'Search for up to 200 characters.'];
    }

    public function search(): BookSearch
    {
        return new BookSearch(
            $this->filled('like') ? Lab::ofXyz(Srgb::ofHex((string) $this->string('like'))->xyz()) : null,
            (string) $this->string('words'),
            (string) $this->string('pencil'),
            (string) $this->string('paper'),
            $this->integer('skip'),
        );
    }
}
