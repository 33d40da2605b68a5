<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\School;

/** One thing in which practitioners differ; each of them is right somewhere. The first case leaves the search free. */
interface Setting extends \BackedEnum
{
    public static function title(): string;

    /** What speaks for this choice, in a line. */
    public function why(): string;
}
