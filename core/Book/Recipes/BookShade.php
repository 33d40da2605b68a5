<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Recipes;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** One colour of a recipe in the book: what it came to when it was kept. */
final readonly class BookShade
{
    /**
     * @param  string  $name  what its artist calls it; empty where that is its role
     * @param  float  $weight  share of its area, above 0
     */
    public function __construct(public Role $role, public string $name, public Lab $lab, public float $weight)
    {
    }

    /** As something to aim at. */
    public function shade(): Shade
    {
        return new Shade($this->role->value, $this->lab, $this->weight, ! $this->role->isOfValueRun(), $this->name);
    }
}
