<?php

declare(strict_types=1);

namespace App\Http\Requests\Study;

use App\Studies\StudyFile;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A whole study, as one file. */
final class StudyFileRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.StudyFile::MOST_KILOBYTES]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.max' => 'A study file may be up to 150 MB.',
            'file.uploaded' => 'The file did not arrive completely, or is larger than 150 MB.',
        ];
    }

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file->getContent() : '';
    }
}
