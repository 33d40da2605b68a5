<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Question;

/** One of the answers to choose from. */
final readonly class Choice
{
    /** @param  list<string>  $dab  what it would look like: a colour, or one a stratum; empty where words say it all */
    public function __construct(public string $words, public array $dab = [])
    {
    }
}
