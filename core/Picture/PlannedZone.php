<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** One zone of a picture with the sequence that it is worked in. */
final readonly class PlannedZone
{
    /**
     * @param  non-empty-list<Shade>  $shades  see {@see ZoneShades}
     * @param  ?Sequence  $sequence  over them; the artist's own, or what the planner found; null when it was not planned yet
     * @param  string  $label  what the sequence is good at
     * @param  ?string  $key  names all that the planner's answer follows from; null before there is a palette
     */
    public function __construct(
        public int $zone,
        public array $shades,
        public ?Sequence $sequence,
        public string $label,
        public bool $own,
        public ?string $key,
    ) {
    }
}
