<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Book\Practice\AskDrill;
use KnottyPrism\Core\Book\Practice\Drills\Skill;

/** What somebody chose of a question. */
final class AnswerRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'skill' => ['required', Rule::in(Skill::values())],
            'difficulty' => ['required', 'integer', 'between:'.AskDrill::EASIEST.','.AskDrill::HARDEST],
            'seed' => ['required', 'integer', 'min:1', 'max:2000000000'],
            'choice' => ['required', 'integer', 'min:0', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['choice.*' => 'Choose one of the answers.'];
    }

    public function skill(): Skill
    {
        return Skill::from((string) $this->string('skill'));
    }
}
