<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Recipes;

use KnottyPrism\Core\Medium\Pencil\Pencil;

/** A pencil that is not available any more, and what is taken in its place. */
final readonly class StandIn
{
    /**
     * @param  int  $firmer  by how many steps it is pressed harder than the missing one was; below 0 lighter
     * @param  float  $apart  ΔE00 of what then comes of the recipe from what it came to, the mean of its shades
     */
    public function __construct(public Pencil $missing, public Pencil $by, public int $firmer, public float $apart)
    {
    }

    /** As one would say it. */
    public function words(): string
    {
        $name = static fn (Pencil $p): string => trim($p->record->number.' '.$p->record->name);
        $how = match (true) {
            $this->firmer > 0 => ', a step firmer',
            $this->firmer < 0 => ', a step lighter',
            default => '',
        };

        return sprintf('%s is not available: %s in its place%s, %.1f off.', $name($this->missing), $name($this->by), $how, $this->apart);
    }
}
