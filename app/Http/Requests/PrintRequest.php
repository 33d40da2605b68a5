<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Something to print, of which nothing else has to be said. */
final class PrintRequest extends FormRequest
{
    use ToPrint;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::sizeRules();
    }
}
