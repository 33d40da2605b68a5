<?php

declare(strict_types=1);

namespace App\Http\Requests\Photo;

use App\Models\Photo;
use App\Models\Study;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use KnottyPrism\Core\Photo\Notes\NamedSpot;

/** A place on one of a study's photos in pixels of the working copy, and the radius of the ring, in a request. */
trait PointsAtPhoto
{
    /** @return array<string, list<string>> */
    private function spotRules(): array
    {
        return [
            'x' => ['required', 'integer', 'min:0'],
            'y' => ['required', 'integer', 'min:0'],
            'ring' => ['required', 'integer', 'min:0', 'max:'.NamedSpot::WIDEST_RING],
            'photo' => ['sometimes', 'integer'],
        ];
    }

    /** The photo that is meant: the one that the colours follow where nothing is said. */
    public function photoOf(Study $study): Photo
    {
        return $this->has('photo')
            ? $study->photos->firstWhere('id', $this->integer('photo')) ?? throw new ModelNotFoundException()
            : $study->photo();
    }

    /**
     * Inside the photo, whatever was asked.
     *
     * @return array{x: int, y: int, ring: int}
     */
    public function spot(Photo $photo): array
    {
        return [
            'x' => min($photo->width - 1, $this->integer('x')),
            'y' => min($photo->height - 1, $this->integer('y')),
            'ring' => $this->integer('ring'),
        ];
    }
}
