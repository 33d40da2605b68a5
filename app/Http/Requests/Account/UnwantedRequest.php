<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Edits\Once;
use Illuminate\Foundation\Http\FormRequest;

/** The key of a change that was asked for and is not wanted any more. */
final class UnwantedRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['key' => ['required', 'string', 'regex:'.Once::KEY]];
    }
}
