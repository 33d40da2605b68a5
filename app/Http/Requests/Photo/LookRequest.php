<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;
use KnottyPrism\Core\Photo\Viewing\Squint;
use KnottyPrism\Core\Photo\Viewing\Tone;
use KnottyPrism\Core\Photo\Viewing\WayOfLooking;

/** A way of looking at a photo, in a request. */
final class LookRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'tone' => ['sometimes', new Enum(Tone::class)],
            'steps' => ['sometimes', Rule::in(WayOfLooking::STEPS)],
            'lightest' => ['sometimes', 'boolean'],
            'only' => ['sometimes', 'integer', 'min:1', 'max:10'],
            'squint' => ['sometimes', 'integer', 'min:0', 'max:3'],
            'balanced' => ['sometimes', 'boolean'],
            'push' => ['sometimes', 'integer', 'min:1', 'max:255'],
            'by' => ['sometimes', Rule::in(['-1', '1'])],
        ];
    }

    /** @param  ?NeutralBalance  $balance  the photo's, where it has one; the request says whether it is wanted */
    public function way(?NeutralBalance $balance): WayOfLooking
    {
        return new WayOfLooking(
            Tone::tryFrom((string) $this->string('tone')) ?? Tone::Colour,
            new ValueScale($this->integer('steps', 9), $this->boolean('lightest')),
            $this->has('only') ? $this->integer('only') : null,
            Squint::tryFrom($this->integer('squint')),
            $this->boolean('balanced', true) ? $balance : null,
        );
    }
}
