<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

/** Keeps atlases as long as it lives itself. */
final class MemoryShelf implements \Countable, AtlasShelf
{
    /** @var array<string, string> packed, by key */
    private array $kept = [];

    public function fetch(string $key): ?string
    {
        return $this->kept[$key] ?? null;
    }

    public function keep(string $key, string $packed): void
    {
        $this->kept[$key] = $packed;
    }

    public function count(): int
    {
        return count($this->kept);
    }
}
