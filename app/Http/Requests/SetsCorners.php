<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A request that names four corners in a photo. */
trait SetsCorners
{
    private const CORNERS = 'regex:/^(?:(?:0(?:\.\d+)?|1(?:\.0+)?)(?:,|$)){8}$/';

    private const CORNERS_SAY = 'The four corners are eight shares of the photo from 0 to 1, between commas.';

    /** @return list<array{float, float}>|null shares of the photo, from the top left clockwise */
    public function corners(): ?array
    {
        if (! $this->filled('corners')) {
            return null;
        }
        $shares = array_map(floatval(...), explode(',', (string) $this->string('corners')));

        return array_map(static fn (int $i): array => [$shares[2 * $i], $shares[2 * $i + 1]], [0, 1, 2, 3]);
    }
}
