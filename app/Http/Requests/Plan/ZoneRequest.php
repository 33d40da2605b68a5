<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** One zone of the plan, by its number. */
final class ZoneRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['zone' => ['required', 'integer']];
    }

    public function zone(): int
    {
        return $this->integer('zone');
    }
}
