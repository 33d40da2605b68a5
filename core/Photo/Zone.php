<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo;

use KnottyPrism\Core\Colour\Lab;

/** A named area of the photo, and what it asks for. */
final readonly class Zone
{
    /**
     * @param  float  $area  share of the picture, 0–1
     * @param  array{float, float, float, float}  $box  left, top, right, bottom as shares of the picture
     * @param  array<string, Lab>  $targets  by role: light, mid, dark, and where there is one accent
     * @param  float  $keptWhite  share of the zone that is the paper's own white
     * @param  float  $texture  standard deviation of L* within
     */
    public function __construct(public string $name, public float $area, public array $box, public array $targets, public float $keptWhite, public float $texture)
    {
    }
}
