<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Medium\Pencil\Pencil;

/** A pencil of a picture, as it would lie beside the drawing. */
final readonly class PalettePencil
{
    /**
     * @param  list<int>  $zones  that take it, by number
     * @param  ?string  $part  light, mid or dark where the picture takes three pencils
     */
    public function __construct(public Pencil $pencil, public array $zones, public ?string $part)
    {
    }
}
