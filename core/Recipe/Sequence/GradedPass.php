<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** One pass over an area: a pencil with a pressure for each shade, or a finish; null when the shade is left out. */
final readonly class GradedPass
{
    /** @param  list<?Pressure>  $pressures  by shade, in the order of the area's shades; for a finish any pressure where it is done */
    public function __construct(public Pencil|Finish $tool, public array $pressures)
    {
    }

    public function in(int $shade): Pass|Finish|null
    {
        $pressure = $this->pressures[$shade] ?? null;
        if ($pressure === null) {
            return null;
        }

        return $this->tool instanceof Finish ? $this->tool : new Pass($this->tool, $pressure->share());
    }

    /** Whether both are the same to lay: two coats, where they follow each other. */
    public function isLike(self $other): bool
    {
        $tool = static fn (self $pass): string => $pass->tool instanceof Finish ? $pass->tool->value : $pass->tool->id();

        return $tool($this) === $tool($other) && $this->pressures === $other->pressures;
    }

    /** @return list<int> the shades that it goes over */
    public function over(): array
    {
        return array_keys(array_filter($this->pressures, static fn (?Pressure $m): bool => $m !== null));
    }
}
