<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** A zone's sequence as it is kept: by the zone's colours, so that it stays what it is when one of them moves, comes or goes. */
final readonly class SequenceNote
{
    public const MOST_PASSES = 30;

    /** @param  list<PassNote>  $passes  from the paper up */
    public function __construct(public array $passes)
    {
    }

    /** @param  list<Shade>  $shades  of the zone */
    public static function of(Sequence $sequence, array $shades): self
    {
        return new self(array_map(static fn (GradedPass $p): PassNote => PassNote::of($p, $shades), $sequence->passes));
    }

    /**
     * @param  list<Shade>  $shades  of the zone as they are now
     *
     * @throws UnknownPencil
     */
    public function read(Drawer $shelf, array $shades): Sequence
    {
        return new Sequence(array_map(static fn (PassNote $p): GradedPass => $p->read($shelf, $shades), $this->passes));
    }

    /** @return list<array<string, mixed>> for JSON */
    public function toArray(): array
    {
        return array_map(static fn (PassNote $p): array => $p->toArray(), $this->passes);
    }

    /** @param  list<array{tool: string, pressures: array<string, string>}>  $data */
    public static function ofArray(array $data): self
    {
        return new self(array_map(PassNote::ofArray(...), $data));
    }
}
