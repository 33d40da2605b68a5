<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** One pass over an area: a pencil with a pressure for each shade, or a finish; null when the shade is left out. */
final readonly class GradedPass
{
    /** @param  list<?PressureMark>  $marks  by shade, in the order of the area's shades; for a finish any mark where it is done */
    public function __construct(public Pencil|Finish $tool, public array $marks)
    {
    }

    public function in(int $shade): Pass|Finish|null
    {
        $mark = $this->marks[$shade] ?? null;
        if ($mark === null) {
            return null;
        }

        return $this->tool instanceof Finish ? $this->tool : new Pass($this->tool, $mark->pressure());
    }

    /** Whether both are the same to lay: two coats, where they follow each other. */
    public function isLike(self $other): bool
    {
        $tool = static fn (self $pass): string => $pass->tool instanceof Finish ? $pass->tool->value : $pass->tool->id();

        return $tool($this) === $tool($other) && $this->marks === $other->marks;
    }

    /** @return list<int> the shades that it goes over */
    public function over(): array
    {
        return array_keys(array_filter($this->marks, static fn (?PressureMark $m): bool => $m !== null));
    }
}
