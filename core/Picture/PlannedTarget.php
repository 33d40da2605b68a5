<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Recipe\Recipe;

/** One target of a zone with the recipe chosen for it. */
final readonly class PlannedTarget
{
    /**
     * @param  Lab  $seen  in the photo
     * @param  Lab  $fitted  after the tone fit: what the recipe aims at
     * @param  float  $weight  share of the picture it stands for, 0–1
     */
    public function __construct(public int $zone, public Role $role, public Lab $seen, public Lab $fitted, public float $weight, public Recipe $recipe)
    {
    }
}
