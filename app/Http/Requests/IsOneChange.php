<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Edits\Once;
use Illuminate\Support\Fluent;
use Illuminate\Validation\Rule;

/** One change of something that has versions: its kind, what that kind needs, and a key of its own, so that sent twice it is made once. */
trait IsOneChange
{
    /** The key comes as every change's does, or in the change itself. */
    protected function prepareForValidation(): void
    {
        $key = $this->header(Once::HEADER);
        if ($key !== null) {
            $this->merge(['key' => $key]);
        }
    }

    /**
     * @param  list<string>  $kinds
     * @param  array<string, mixed>  $needs  rules of the kind that was asked for
     * @return array<string, mixed>
     */
    private function rulesFor(array $kinds, array $needs): array
    {
        return ['kind' => ['required', 'string', Rule::in($kinds)], 'key' => ['required', 'string', 'min:8', 'max:40'], ...$needs];
    }

    /** What the change calls itself, which its rules will look at. */
    private function kind(): string
    {
        $kind = $this->input('kind');

        return is_string($kind) ? $kind : '';
    }

    /** @return Fluent<string, mixed> */
    public function change(): Fluent
    {
        /** @var array<string, mixed> $validated */
        $validated = $this->validated();

        return new Fluent($validated);
    }
}
