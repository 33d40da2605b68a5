<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\Lab;

/** Another colour within a zone: the red columns and the teal trim of a dark roof. */
final readonly class Touch
{
    /**
     * @param  float  $share  of the zone
     * @param  array{float, float}  $at  where it is seen, as shares of the photo
     * @param  list<int>  $pixels  where it lies
     */
    public function __construct(
        public ShadeName $shade,
        public string $name,
        public Lab $lab,
        public float $share,
        public array $at,
        public array $pixels,
    ) {
    }
}
