<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** One pencil at one pressure, 0–1 (above 0). */
final readonly class Pass
{
    public function __construct(public Pencil $pencil, public float $pressure)
    {
        OutOfRange::check('pressure', $pressure, 0.05, 1);
    }
}
