<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\CarriesPhoto;
use Illuminate\Foundation\Http\FormRequest;

/** The photo of a half-done drawing, how far it is, and its corners where somebody has set them. */
final class DrawingPhotoRequest extends FormRequest
{
    use CarriesPhoto, SaysPasses;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['photo' => self::photoRules(), ...self::passesRules(), 'corners' => ['sometimes', 'string', 'regex:/^(?:(?:0(?:\.\d+)?|1(?:\.0+)?)(?:,|$)){8}$/']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...self::photoMessages('Choose a photo of the drawing.'), 'corners.regex' => 'The four corners are eight shares of the photo from 0 to 1, between commas.'];
    }

    /** @return list<array{float, float}>|null shares of the photo, from the top left clockwise */
    public function corners(): ?array
    {
        if (! $this->filled('corners')) {
            return null;
        }
        $shares = array_map(floatval(...), explode(',', (string) $this->string('corners')));

        return array_map(static fn (int $i): array => [$shares[2 * $i], $shares[2 * $i + 1]], [0, 1, 2, 3]);
    }
}
