<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\OnPaper;
use Illuminate\Foundation\Http\FormRequest;

/** What the whole drawer reaches on a paper. */
final class GamutRequest extends FormRequest
{
    use OnPaper;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::paperRules();
    }
}
