<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

/** One end of a form in one pencil alone: seen by looking at the whole zone, never at one shade alone. */
final class Flat extends WarningKind
{
    public function __construct()
    {
        parent::__construct('flat', 14, ofPasses: false);
    }
}
