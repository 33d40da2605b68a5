<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** A line across the photo, by shares of its width and height. */
final class RampRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return array_fill_keys(['x1', 'y1', 'x2', 'y2'], ['required', 'numeric', 'min:0', 'max:1']);
    }

    /** @return array{float, float} 0–1 each */
    public function from(): array
    {
        return [$this->float('x1'), $this->float('y1')];
    }

    /** @return array{float, float} 0–1 each */
    public function to(): array
    {
        return [$this->float('x2'), $this->float('y2')];
    }
}
