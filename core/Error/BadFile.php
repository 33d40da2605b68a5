<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

/** A file whose content can't be used, with every problem found in it, each named by row and column where it has one. */
final class BadFile extends \DomainException implements CoreError
{
    /** @param  list<string>  $problems */
    private function __construct(string $message, public readonly array $problems)
    {
        parent::__construct($message);
    }

    /** @param  non-empty-list<string>  $problems */
    public static function withProblems(string $what, array $problems): self
    {
        $more = count($problems) - 1;
        $tail = $more > 0 ? sprintf(' (and %d more)', $more) : '';

        return new self(sprintf('%s: %s%s', $what, $problems[0], $tail), $problems);
    }

    public static function because(string $reason): self
    {
        return new self($reason, [$reason]);
    }
}
