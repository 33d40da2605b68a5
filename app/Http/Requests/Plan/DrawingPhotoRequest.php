<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\CarriesPhoto;
use App\Http\Requests\SetsCorners;
use Illuminate\Foundation\Http\FormRequest;

/** The photo of a half-done drawing, how far it is, and its corners where somebody has set them. */
final class DrawingPhotoRequest extends FormRequest
{
    use CarriesPhoto, SaysPasses, SetsCorners;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => self::photoRules(), ...self::passesRules(), 'corners' => ['sometimes', 'string', self::CORNERS]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...self::photoMessages('Choose a photo of the drawing.'), 'corners.regex' => self::CORNERS_SAY];
    }
}
