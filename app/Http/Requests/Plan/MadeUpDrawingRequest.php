<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** A made-up photo of the drawing, so far laid. */
final class MadeUpDrawingRequest extends FormRequest
{
    use SaysPasses;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...self::passesRules(), 'seed' => ['sometimes', 'integer', 'min:1', 'max:1000000']];
    }

    /** The same one makes the same photo. */
    public function seed(): int
    {
        return $this->integer('seed', random_int(1, 100_000));
    }
}
