<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Recipe\Method\StartingPoint;

/** One zone of the plan, by its number. */
final class ZoneRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['zone' => ['required', 'integer'], 'start' => [Rule::enum(StartingPoint::class)]];
    }

    public function zone(): int
    {
        return $this->integer('zone');
    }

    /** The method in which it is tried; null for the plan's own. */
    public function start(): ?StartingPoint
    {
        return $this->enum('start', StartingPoint::class);
    }
}
