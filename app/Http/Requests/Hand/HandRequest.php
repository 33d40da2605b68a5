<?php

declare(strict_types=1);

namespace App\Http\Requests\Hand;

use Illuminate\Foundation\Http\FormRequest;

/** The hand on a paper. */
final class HandRequest extends FormRequest
{
    use OnPaperInHand;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->handRules();
    }
}
