<?php

declare(strict_types=1);

namespace App\Http\Requests\Drawer;

use App\Http\Requests\OnPaper;
use Illuminate\Foundation\Http\FormRequest;

/** One pencil, as it is on a paper. */
final class PencilRequest extends FormRequest
{
    use NamesPencil, OnPaper;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['id' => self::ID, ...self::paperRules()];
    }
}
