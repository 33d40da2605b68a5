<?php

declare(strict_types=1);

namespace App\Http\Requests\Desk;

use App\Http\Requests\ToPrint;
use Illuminate\Foundation\Http\FormRequest;

/** An outline sheet: on what paper, mirrored or not, with a grid or not. */
final class OutlineRequest extends FormRequest
{
    use ToPrint;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...self::sizeRules(), 'mirrored' => ['sometimes', 'boolean'], 'grid' => ['sometimes', 'boolean']];
    }
}
