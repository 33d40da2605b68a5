<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A request of which nothing else has to be said than which paper is meant. */
final class OnPaperRequest extends FormRequest
{
    use OnPaper;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::paperRules();
    }
}
