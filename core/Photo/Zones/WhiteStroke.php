<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** One stroke with which the paper was painted in or out. */
final readonly class WhiteStroke
{
    /**
     * @param  bool  $keep  whether the paper stays bare under it
     * @param  float  $radius  share of the width
     * @param  list<array{float, float}>  $points  shares of width and height
     */
    public function __construct(public bool $keep, public float $radius, public array $points)
    {
    }

    /** @return array{keep: bool, radius: float, points: list<array{float, float}>} */
    public function toArray(): array
    {
        return ['keep' => $this->keep, 'radius' => $this->radius, 'points' => $this->points];
    }
}
