<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Edits\PlanEdits;
use App\Http\Requests\IsOneChange;
use Illuminate\Foundation\Http\FormRequest;

/** One change of the plan of a picture. */
final class PlanChangeRequest extends FormRequest
{
    use IsOneChange;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->rulesFor(PlanEdits::kinds(), PlanEdits::rules($this->kind()));
    }
}
