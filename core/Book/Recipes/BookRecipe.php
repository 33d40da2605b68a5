<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Recipes;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** What worked, as it is kept: passes, the pencils they took, and what came of it. */
final readonly class BookRecipe
{
    /**
     * @param  non-empty-list<Shade>  $shades  they aim at what the recipe came to when it was kept
     * @param  Drawer  $pencils  as they were then, whatever has become of them
     */
    public function __construct(public array $shades, public SequenceNote $passes, public Drawer $pencils)
    {
    }

    /** With the pencils of then. */
    public function sequence(): Sequence
    {
        return $this->passes->read($this->pencils, $this->shades);
    }
}
