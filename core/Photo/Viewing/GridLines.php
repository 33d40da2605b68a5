<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

/** The lines of a drawing's grid, as shares of the photo; both edges of the drawing left out. */
final readonly class GridLines
{
    /**
     * @param  list<float>  $across  upright lines, from the left
     * @param  list<float>  $down  level lines, from the top
     */
    public function __construct(public array $across, public array $down)
    {
    }
}
