<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** The picture after a pass, or how far its end is from the photo, and how it is looked at. */
final class PictureRequest extends FormRequest
{
    use SaysHowFar;
    use UnderLight;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['step' => ['required_without:work', 'string', 'regex:/^(\d{1,2}|error)$/'], ...self::stepsRules(), ...self::lightRules()];
    }

    /** How far the end is from the photo, and not the picture. */
    public function isError(): bool
    {
        return (string) $this->string('step') === 'error';
    }
}
