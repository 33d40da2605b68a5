<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** Pencils, found by identifier: line/number, or the number alone where only one line has it. */
final readonly class Drawer
{
    /** @var array<string, Pencil> */
    private array $byId;

    /** @var array<string, list<string>> number => identifiers */
    private array $byNumber;

    /** @param  list<Pencil>  $pencils */
    public function __construct(public array $pencils)
    {
        $byId = $byNumber = [];
        foreach ($pencils as $pencil) {
            $byId[mb_strtolower($pencil->id())] = $pencil;
            $byNumber[mb_strtolower($pencil->record->number)][] = $pencil->id();
        }
        $this->byId = $byId;
        $this->byNumber = $byNumber;
    }

    /** @throws UnknownPencil when no pencil, or more than one, has this identifier */
    public function pencil(string $id): Pencil
    {
        $key = mb_strtolower(trim($id));
        if (isset($this->byId[$key])) {
            return $this->byId[$key];
        }
        $ids = $this->byNumber[$key] ?? [];
        if (count($ids) === 1) {
            return $this->byId[mb_strtolower($ids[0])];
        }

        throw $ids === [] ? UnknownPencil::named($id, $this->near($key)) : UnknownPencil::ambiguous($id, $ids);
    }

    /** Pencils one owns that lay colour. */
    public function usable(): self
    {
        return new self(array_values(array_filter($this->pencils, static fn (Pencil $p): bool => $p->record->owned && ! $p->isBlender())));
    }

    /** @return list<Pencil> those that lay colour and could be bought: known, not owned */
    public function missing(): array
    {
        return array_values(array_filter($this->pencils, static fn (Pencil $p): bool => ! $p->record->owned && ! $p->isBlender()));
    }

    /** @param  list<string>  $ids */
    public function without(array $ids): self
    {
        return new self(array_values(array_filter($this->pencils, static fn (Pencil $p): bool => ! in_array($p->id(), $ids, true))));
    }

    /** @return list<string> */
    private function near(string $key): array
    {
        $distance = [];
        foreach ($this->byId as $id => $pencil) {
            $distance[$pencil->id()] = min(levenshtein($key, mb_strtolower($pencil->record->number)), levenshtein($key, (string) $id));
        }
        asort($distance);

        return array_map(strval(...), array_keys(array_slice(array_filter($distance, static fn (int $d): bool => $d <= 2), 0, 3, true)));
    }
}
