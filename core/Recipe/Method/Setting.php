<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/**
 * One thing in which practitioners differ; each of them is right somewhere. The first case leaves the search free. Each is one enum of this
 * folder, and is found there.
 */
interface Setting extends \BackedEnum
{
    /** As it is written: "darks" of "darks=never-black". */
    public static function name(): string;

    /** Among the settings: the lowest first. */
    public static function place(): int;

    public static function title(): string;

    /** What speaks for this choice, in a line. */
    public function why(): string;
}
