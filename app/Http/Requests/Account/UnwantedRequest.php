<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Foundation\Http\FormRequest;

/** The key of a change that was asked for and is not wanted any more. */
final class UnwantedRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['key' => ['required', 'string', 'regex:/^[\x21-\x7e]{8,40}$/D']];
    }
}
