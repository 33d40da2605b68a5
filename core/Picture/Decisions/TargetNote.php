<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

/** What the artist decided for one target: a stack of their own, whether it is held whatever else changes, and cautions overruled with a note. */
final readonly class TargetNote
{
    /**
     * @param  ?string  $stack  as {@see \KnottyPrism\Core\Medium\Stack\Stack::text()} writes it; null for what the planner finds
     * @param  array<string, string>  $overruled  by the caution's code
     */
    public function __construct(public ?string $stack = null, public array $overruled = [])
    {
    }

    public function withStack(?string $stack): self
    {
        return new self($stack, $this->overruled);
    }

    public function overruling(string $code, ?string $note): self
    {
        $overruled = $this->overruled;
        unset($overruled[$code]);

        return new self($this->stack, $note === null ? $overruled : [...$overruled, $code => $note]);
    }

    public function isEmpty(): bool
    {
        return $this->stack === null && $this->overruled === [];
    }
}
