<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use KnottyPrism\Core\Formats\Text\PlainText;

final class DrawerImportRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:4096']]; // kilobytes
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.max' => 'A drawer file may be up to 4 MB.', 'file.required' => 'Choose a drawer file, CSV or JSON.'];
    }

    public function text(): string
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? PlainText::of($file->getContent()) : '';
    }
}
