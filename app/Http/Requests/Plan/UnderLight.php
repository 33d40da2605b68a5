<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Validation\Rule;
use KnottyPrism\Core\Colour\Illuminant;

/** A request that may name the light that the picture is seen under, and may want it in grey. */
trait UnderLight
{
    /** @return array<string, list<mixed>> */
    private static function lightRules(): array
    {
        return ['grey' => ['sometimes', 'in:0,1'], 'light' => ['sometimes', Rule::enum(Illuminant::class)]];
    }

    public function grey(): bool
    {
        return $this->boolean('grey');
    }

    public function light(): Illuminant
    {
        return Illuminant::from($this->string('light', Illuminant::D65->value)->toString());
    }
}
