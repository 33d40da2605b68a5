<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class SheetPhotoRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => ['required', 'file', 'max:61440']]; // kilobytes
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'photo.required' => 'Choose the photo of a page.',
            'photo.uploaded' => 'The photo did not arrive whole, or is larger than 60 MB; try again, or save a smaller copy.',
            'photo.max' => 'A photo may be up to 60 MB; save a smaller copy and try again.',
        ];
    }

    public function photoPath(): string
    {
        $file = $this->file('photo');

        return $file instanceof UploadedFile ? $file->getRealPath() : throw new \LogicException('validated above');
    }
}
