<?php

declare(strict_types=1);

namespace App\Http\Requests\Hand;

use Illuminate\Foundation\Http\FormRequest;

/** Another version of the hand to go by; 0 is the even one. */
final class HandVersionRequest extends FormRequest
{
    use OnPaperInHand;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['number' => ['required', 'integer', 'min:0'], ...$this->handRules()];
    }

    public function number(): int
    {
        return $this->integer('number');
    }
}
