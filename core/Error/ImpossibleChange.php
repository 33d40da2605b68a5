<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

/** A change that can't be made to what is there; the message says what would make it possible. */
final class ImpossibleChange extends \DomainException implements CoreError
{
    public static function because(string $reason): self
    {
        return new self($reason);
    }

    public static function unknown(string $what): self
    {
        return new self("This $what no longer exists; undo, or reload the page.");
    }
}
