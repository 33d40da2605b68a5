<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

/** Two touching zones that end alike: seen by looking at the picture, never at one shade alone. */
final class Twins extends WarningKind
{
    public function __construct()
    {
        parent::__construct('twins', 13, ofPasses: false);
    }
}
