<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** A piece of the picture from near: around a place, as shares of the picture, after so many passes. */
final class LoupeRequest extends FormRequest
{
    use SaysHowFar;
    use UnderLight;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'step' => ['required_without:work', 'integer', 'between:0,99'],
            'x' => ['required', 'numeric', 'between:0,1'],
            'y' => ['required', 'numeric', 'between:0,1'],
            ...self::stepsRules(),
            ...self::lightRules(),
        ];
    }

    /** @return array{float, float} */
    public function place(): array
    {
        return [$this->float('x'), $this->float('y')];
    }
}
