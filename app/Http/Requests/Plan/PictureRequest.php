<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** The picture after a pass, or how far its end is from the photo, and how it is looked at. */
final class PictureRequest extends FormRequest
{
    use UnderLight;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['step' => ['required', 'string', 'regex:/^(\d{1,2}|error)$/'], ...self::lightRules()];
    }

    /** After so many passes; nothing for the error of the end. */
    public function step(): ?int
    {
        return (string) $this->string('step') === 'error' ? null : $this->integer('step');
    }
}
