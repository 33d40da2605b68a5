<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Question;

/** A dab that is shown with a question. */
final readonly class Shown
{
    /** @param  list<string>  $dab  a colour, or one a stratum, #rrggbb */
    public function __construct(public string $words, public array $dab)
    {
    }
}
