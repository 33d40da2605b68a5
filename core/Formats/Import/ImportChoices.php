<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Import;

/** What the artist wants done with a drawer file where it meets what is already there. */
final readonly class ImportChoices
{
    /** Pencils that the drawer has already: as the file says, only what the drawer does not know yet, or not at all. */
    public const KNOWN = ['renew', 'fill', 'keep'];

    /** Rows of the file that speak of one pencil: merged, or only the first of them. */
    public const TWICE = ['merge', 'first'];

    /** Pencils of the drawer that the file does not name: left as they are, or no longer owned. */
    public const OTHERS = ['keep', 'not owned'];

    public function __construct(public string $known = 'renew', public string $twice = 'merge', public string $others = 'keep')
    {
    }
}
