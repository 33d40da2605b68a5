<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** One colour that a picture asks for, with what is planned for it so far. */
final readonly class PlannedWish
{
    /**
     * @param  ?Stack  $stack  the artist's own, or what the planner found; nothing where it was not planned yet
     * @param  string  $label  what the stack is good at
     * @param  bool  $own  whether it is the artist's, held apart from the zone's sequence
     */
    public function __construct(public Wish $wish, public ?Stack $stack, public string $label, public bool $own)
    {
    }

    /** @return list<string> identifiers of the pencils that its stack takes */
    public function pencils(): array
    {
        return $this->stack === null ? [] : Pencil::identifiers($this->stack->pencils());
    }
}
