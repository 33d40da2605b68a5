<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use App\Edits\SurveyEdits;
use App\Http\Requests\IsOneChange;
use Illuminate\Foundation\Http\FormRequest;

/** One change of a survey. */
final class SurveyChangeRequest extends FormRequest
{
    use IsOneChange;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->rulesFor(SurveyEdits::kinds(), SurveyEdits::rules($this->kind()));
    }

    /** After which a plan is what is asked for next. */
    public function proposesZones(): bool
    {
        return $this->kind() === 'proposeZones';
    }
}
