<?php

declare(strict_types=1);

namespace App\Http\Requests\Book;

use App\Accounts\AccountFile;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A whole account, as one file. */
final class AccountFileRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.AccountFile::MOST_KILOBYTES]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose an account file.',
            'file.max' => 'An account file may be up to 150 MB.',
            'file.uploaded' => 'The file did not arrive completely, or is larger than 150 MB.',
        ];
    }

    public function filePath(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file->getRealPath() : '';
    }
}
