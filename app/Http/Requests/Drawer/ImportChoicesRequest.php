<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Formats\Import\ImportChoices;

/** What to do with pencils that are known, that come twice, and that the file does not have. */
final class ImportChoicesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'known' => ['required', Rule::in(ImportChoices::KNOWN)],
            'twice' => ['required', Rule::in(ImportChoices::TWICE)],
            'others' => ['required', Rule::in(ImportChoices::OTHERS)],
        ];
    }

    /** @return array<string, string> */
    public function choices(): array
    {
        /** @var array<string, string> $choices */
        $choices = $this->validated();

        return $choices;
    }
}
