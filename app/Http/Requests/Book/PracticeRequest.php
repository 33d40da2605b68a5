<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Book\Practice\Drills\Skill;

/** A question is asked for, of one skill or of any. */
final class PracticeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['skill' => ['sometimes', 'nullable', Rule::in(Skill::values())]];
    }

    public function skill(): ?Skill
    {
        return Skill::tryFrom((string) $this->string('skill'));
    }
}
