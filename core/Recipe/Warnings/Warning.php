<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** Something to look out for in a sequence: where, in words, and what helps. */
final readonly class Warning
{
    /**
     * @param  int  $pass  the pass that causes it, 1 the first; 0 all of them together
     * @param  non-empty-list<int>  $shades  in which shades, by their place in the sequence's
     * @param  string  $remedy  in words: general advice, or what was tried
     * @param  list<int>  $zones of a warning between zones or about one: their numbers, the one to change first; empty where it is of
     *   passes
     *   alone
     * @param  ?SequenceAnswer  $remedied  the sequence that was tried and is free of it; null when none is, or none was tried
     */
    public function __construct(
        public WarningKind $kind,
        public int $pass,
        public array $shades,
        public string $text,
        public string $remedy,
        public array $zones = [],
        public ?SequenceAnswer $remedied = null,
    ) {
    }

    /** @param  non-empty-list<int>  $shades */
    public function in(array $shades): self
    {
        return new self($this->kind, $this->pass, $shades, $this->text, $this->remedy, $this->zones, $this->remedied);
    }

    public function remedied(string $words, SequenceAnswer $by): self
    {
        return new self($this->kind, $this->pass, $this->shades, $this->text, $words, $this->zones, $by);
    }
}
