<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** A light to see the picture under. */
final class LightRequest extends FormRequest
{
    use UnderLight;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::lightRules();
    }
}
