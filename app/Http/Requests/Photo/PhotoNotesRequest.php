<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use App\Models\Photo;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a photo is called and looked at for. */
final class PhotoNotesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['sometimes', 'string', 'min:1', 'max:200'],
            'roles' => ['sometimes', 'array', 'max:4'],
            'roles.*' => [Rule::in(Photo::ROLES)],
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        /** @var array<string, mixed> $columns */
        $columns = $this->validated();

        return $columns;
    }
}
