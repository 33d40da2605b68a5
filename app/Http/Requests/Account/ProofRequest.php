<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Foundation\Http\FormRequest;

/** The password, once more, before anything that can't be taken back. */
class ProofRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['password' => ['required', 'string', 'max:1000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['password.required' => 'Enter your current password first.'];
    }

    final public function proof(): string
    {
        return (string) $this->string('password');
    }
}
