<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

final class RegisterRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:255', 'unique:users,email'],
            'stays' => ['sometimes', 'boolean'],
            'password' => ['required', 'string', 'max:1000', Password::defaults()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.unique' => 'An account with this address already exists; sign in instead.',
            'email.email' => 'Write the address like name@example.org.',
            'password.min' => 'A password needs at least 10 characters.',
        ];
    }
}
