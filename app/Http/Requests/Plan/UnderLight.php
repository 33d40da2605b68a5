<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Plans\SeenAs;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Photo\Viewing\Squint;
use KnottyPrism\Core\Photo\Viewing\Tone;

/** A request that may say how the picture to come is looked at, and under which light. */
trait UnderLight
{
    /** @return array<string, list<mixed>> */
    private static function lightRules(): array
    {
        return [
            'tone' => ['sometimes', Rule::enum(Tone::class)],
            'squint' => ['sometimes', 'integer', 'between:0,3'],
            'light' => ['sometimes', Rule::enum(Illuminant::class)],
        ];
    }

    public function seenAs(): SeenAs
    {
        return new SeenAs(
            Tone::from($this->string('tone', Tone::Colour->value)->toString()),
            Squint::tryFrom($this->integer('squint')),
            $this->light(),
        );
    }

    public function light(): Illuminant
    {
        return Illuminant::from($this->string('light', Illuminant::D65->value)->toString());
    }
}
