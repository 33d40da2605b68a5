<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

/** What a box looks like beside the paper around it. */
final readonly class BoxFigures
{
    /**
     * @param  array{float, float, float}  $ratio  light over that of paper
     * @param  float  $glints  share of places that mirror a lamp
     * @param  float  $full  share of places that are as light as the camera can tell
     * @param  float  $grain  how far places differ, over the root of how many there are
     * @param  float  $evenness  darkest paper around it over the lightest
     */
    public function __construct(public array $ratio, public float $glints, public float $full, public float $grain, public float $evenness)
    {
    }
}
