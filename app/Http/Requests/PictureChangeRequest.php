<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Services\PictureChanges;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Fluent;
use Illuminate\Validation\Rule;

/** One change of the plan of a picture: its kind, what that kind needs, and a key of its own. */
final class PictureChangeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['kind' => ['required', 'string', Rule::in(PictureChanges::kinds())], 'key' => ['required', 'string', 'min:8', 'max:40'], ...PictureChanges::rules((string) $this->string('kind'))];
    }

    /** @return Fluent<string, mixed> */
    public function change(): Fluent
    {
        /** @var array<string, mixed> $validated */
        $validated = $this->validated();

        return new Fluent($validated);
    }

    public function key(): string
    {
        return (string) $this->string('key');
    }
}
