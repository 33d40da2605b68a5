<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Validation\Rules\Password;

final class ChangePasswordRequest extends ProofRequest
{
    public function rules(): array
    {
        return [...parent::rules(), 'new' => ['required', 'string', 'max:1000', Password::defaults()]];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'new.min' => 'A password needs at least 10 characters.',
            'new.required' => 'Enter a new password with at least 10 characters.',
        ];
    }
}
