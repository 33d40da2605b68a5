<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;

/** A name for the present version, or the number of another to go to. */
final class VersionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => ['required_without:number', 'string', 'max:80'], 'number' => ['required_without:name', 'integer', 'min:0']];
    }

    /** Null when a name is given to the present one. */
    public function number(): ?int
    {
        return $this->has('number') ? $this->integer('number') : null;
    }

    public function versionName(): string
    {
        return (string) $this->string('name');
    }
}
