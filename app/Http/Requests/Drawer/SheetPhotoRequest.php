<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\CarriesPhoto;
use Illuminate\Foundation\Http\FormRequest;

final class SheetPhotoRequest extends FormRequest
{
    use CarriesPhoto;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => self::photoRules()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::photoMessages('Choose the photo of a page.');
    }
}
