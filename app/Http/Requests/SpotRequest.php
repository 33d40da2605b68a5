<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A place on the photo and the radius of the ring. */
final class SpotRequest extends FormRequest
{
    use PointsAtPhoto;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return $this->spotRules();
    }
}
