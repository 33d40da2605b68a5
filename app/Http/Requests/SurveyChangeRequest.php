<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Services\SurveyChanges;
use Illuminate\Foundation\Http\FormRequest;

/** One change of a survey. */
final class SurveyChangeRequest extends FormRequest
{
    use IsOneChange;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->rulesFor(SurveyChanges::kinds(), SurveyChanges::rules($this->kind()));
    }
}
