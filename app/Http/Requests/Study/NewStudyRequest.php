<?php

declare(strict_types=1);

namespace App\Http\Requests\Study;

use App\Http\Requests\CarriesPhoto;
use Illuminate\Foundation\Http\FormRequest;

final class NewStudyRequest extends FormRequest
{
    use CarriesPhoto;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => self::photoRules(), 'name' => ['sometimes', 'nullable', 'string', 'max:120']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::photoMessages('Choose a photo: JPEG, PNG, WebP, TIFF or HEIC.');
    }

    /** As given, or from the file's name. */
    public function studyName(): string
    {
        $given = trim((string) $this->string('name'));
        $fromFile = trim(str_replace(['_', '-'], ' ', pathinfo($this->photo()->getClientOriginalName(), PATHINFO_FILENAME)));

        return mb_substr($given !== '' ? $given : ($fromFile !== '' ? $fromFile : 'Untitled'), 0, 120);
    }
}
