<?php

declare(strict_types=1);

namespace App\Http\Requests\Hand;

use App\Http\Requests\CarriesPhoto;
use Illuminate\Foundation\Http\FormRequest;

/** The photo of a sheet of strips. */
final class StripPhotoRequest extends FormRequest
{
    use CarriesPhoto, OnPaperInHand;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => self::photoRules(), ...$this->handRules()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::photoMessages('Choose the photo of your strips.');
    }
}
