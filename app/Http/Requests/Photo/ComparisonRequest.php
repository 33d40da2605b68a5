<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use App\Models\Photo;
use App\Models\Study;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Http\FormRequest;

/** Two photos of a study, to be held side by side. */
final class ComparisonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['one' => ['required', 'integer'], 'other' => ['required', 'integer', 'different:one']];
    }

    public function one(Study $study): Photo
    {
        return $this->photo($study, 'one');
    }

    public function other(Study $study): Photo
    {
        return $this->photo($study, 'other');
    }

    private function photo(Study $study, string $which): Photo
    {
        return $study->photos->firstWhere('id', $this->integer($which)) ?? throw new ModelNotFoundException;
    }
}
