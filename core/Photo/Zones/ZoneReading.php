<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** A zone of a sheet read from a photo: what it asks for, and its own values from dark to light. */
final readonly class ZoneReading
{
    private const RUN = 13;

    /**
     * @param  array{float, float}  $range  L* of its darkest and lightest
     * @param  list<Lab>  $run  what it looks like from one to the other, in even steps of L*
     */
    private function __construct(public Zone $zone, public array $range, public array $run)
    {
    }

    /**
     * @param  list<int>  $pixels
     * @param  string  $whites  see {@see KeptWhites::on()}
     */
    public static function of(PixelGrid $grid, array $pixels, ZoneNote $note, string $whites): self
    {
        return new self(
            Zone::measured($grid, $pixels, $note->name, $note->places, $whites, $note->touches, $note->run)->being($note->surface),
            ShadeColours::range($grid, $pixels),
            ShadeColours::run($grid, $pixels, self::RUN),
        );
    }

    /** Where in the zone's own values a colour lies, 0–1. */
    public function placeOf(Lab $lab): float
    {
        [$dark, $light] = $this->range;

        return $light - $dark < 0.01 ? 0.5 : max(0.0, min(1.0, ($lab->l - $dark) / ($light - $dark)));
    }
}
