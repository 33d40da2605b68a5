<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Viewing\WayOfLooking;

/** A place on the photo and the radius of the ring. */
final class SpotRequest extends FormRequest
{
    use PointsAtPhoto;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...$this->spotRules(), 'steps' => ['sometimes', Rule::in(WayOfLooking::STEPS)], 'lightest' => ['sometimes', 'boolean']];
    }

    /** The scale that values are counted on. */
    public function scale(): ValueScale
    {
        return new ValueScale($this->integer('steps', 9), $this->boolean('lightest'));
    }
}
