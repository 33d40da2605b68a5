<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Finish;

/** Something that keeps a drawing from being finished, and the one step that would help. */
final readonly class Finding
{
    /** @param  string  $what "unfinished", "dark", "light", "contrast", "edge" or "white" */
    public function __construct(public string $what, public int $zone, public string $text, public string $step)
    {
    }
}
