<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class NewStudyRequest extends FormRequest
{
    private const MOST_KILOBYTES = 61_440;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => ['required', 'file', 'max:'.self::MOST_KILOBYTES], 'name' => ['sometimes', 'nullable', 'string', 'max:120']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'photo.required' => 'Choose a photo: JPEG, PNG, WebP, TIFF or HEIC.',
            'photo.uploaded' => 'The photo did not arrive whole, or is larger than 60 MB; try again, or save a smaller copy.',
            'photo.max' => 'A photo may be up to 60 MB; save a smaller copy and try again.',
        ];
    }

    public function photo(): UploadedFile
    {
        $file = $this->file('photo');

        return $file instanceof UploadedFile ? $file : throw new \LogicException('validated above');
    }

    /** As given, or from the file's name. */
    public function studyName(): string
    {
        $given = trim((string) $this->string('name'));
        $fromFile = trim(str_replace(['_', '-'], ' ', pathinfo($this->photo()->getClientOriginalName(), PATHINFO_FILENAME)));

        return mb_substr($given !== '' ? $given : ($fromFile !== '' ? $fromFile : 'Untitled'), 0, 120);
    }
}
