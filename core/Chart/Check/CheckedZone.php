<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

/** One zone of a drawing that is checked. */
final readonly class CheckedZone
{
    /** @param  list<CheckedShade>  $shades  of its value run; touches are too small to be read from a photo of the whole */
    public function __construct(public int $number, public string $name, public array $shades)
    {
    }
}
