<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

/** A pencil that the drawer does not hold, or a number that several lines share. */
final class UnknownPencil extends \DomainException implements CoreError
{
    /** @param  list<string>  $near identifiers that begin alike */
    public static function named(string $id, array $near): self
    {
        $hint = $near === [] ? 'check the number' : 'did you mean '.implode(' or ', $near).'?';

        return new self(sprintf('There is no pencil "%s" in this drawer; %s.', UnreadableText::shown($id), rtrim($hint, '.')));
    }

    /** @param  list<string>  $ids */
    public static function ambiguous(string $id, array $ids): self
    {
        return new self(sprintf('Number %s is in several lines: write %s.', UnreadableText::shown($id), implode(' or ', $ids)));
    }
}
