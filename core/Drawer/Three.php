<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

/** With a base pencil, a lighter and a darker one of near hue. */
final readonly class Three
{
    /** @param  float  $lightStep  L* from the base to the lighter
     *  @param  float  $darkStep  and to the darker
     *  @param  float  $cost  how uneven, and how far apart in hue */
    public function __construct(
        public Portrait $light,
        public Portrait $dark,
        public float $lightStep,
        public float $darkStep,
        public float $cost,
    ) {
    }
}
