<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;

/** A zone's sequence as it is kept: by the zone's colours, so that it stays what it is when one of them moves, comes or goes. */
final readonly class SequenceNote
{
    public const MOST_PASSES = 30;

    /** @param  list<PassNote>  $passes  from the paper up */
    public function __construct(public array $passes)
    {
    }

    /** @param  list<Role>  $roles  what the sequence's shades are to the zone */
    public static function of(Sequence $sequence, array $roles): self
    {
        return new self(array_map(static fn (GradedPass $p): PassNote => PassNote::of($p, $roles), $sequence->passes));
    }

    /**
     * @param  list<Role>  $roles  of the zone's colours as they are now
     *
     * @throws UnknownPencil
     */
    public function read(Drawer $shelf, array $roles): Sequence
    {
        return new Sequence(array_map(static fn (PassNote $p): GradedPass => $p->read($shelf, $roles), $this->passes));
    }

    /** @return list<array<string, mixed>> for JSON */
    public function toArray(): array
    {
        return array_map(static fn (PassNote $p): array => $p->toArray(), $this->passes);
    }

    /** @param  list<array{tool: string, marks: array<string, string>}>  $data */
    public static function ofArray(array $data): self
    {
        return new self(array_map(PassNote::ofArray(...), $data));
    }
}
