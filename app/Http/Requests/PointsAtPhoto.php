<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Study;

/** A place on the photo in pixels of the working copy, and the radius of the ring, in a request. */
trait PointsAtPhoto
{
    private const WIDEST_RING = 60;

    /** @return array<string, list<string>> */
    private function spotRules(): array
    {
        return ['x' => ['required', 'integer', 'min:0'], 'y' => ['required', 'integer', 'min:0'], 'ring' => ['required', 'integer', 'min:0', 'max:'.self::WIDEST_RING]];
    }

    /**
     * Inside the photo, whatever was asked.
     *
     * @return array{x: int, y: int, ring: int}
     */
    public function spot(Study $study): array
    {
        return [
            'x' => min($study->photo_width - 1, $this->integer('x')),
            'y' => min($study->photo_height - 1, $this->integer('y')),
            'ring' => $this->integer('ring'),
        ];
    }
}
