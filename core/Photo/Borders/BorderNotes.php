<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Borders;

/** How zones meet where the artist has said so; everywhere else they meet as the photo has it. */
final readonly class BorderNotes
{
    /** @param  array<int, array<int, BorderKind>>  $said  by the lower number of a pair, then by the other */
    public function __construct(private array $said = [])
    {
    }

    public function of(int $one, int $other): ?BorderKind
    {
        return $this->said[min($one, $other)][max($one, $other)] ?? null;
    }

    /** @param  ?BorderKind  $kind  null for as the photo has it */
    public function with(int $one, int $other, ?BorderKind $kind): self
    {
        $said = $this->said;
        unset($said[min($one, $other)][max($one, $other)]);
        if ($kind !== null) {
            $said[min($one, $other)][max($one, $other)] = $kind;
        }

        return new self(array_filter($said));
    }

    /**
     * What is left to say when some zones are left.
     *
     * @param  array<int, mixed>  $zones  by number
     */
    public function among(array $zones): self
    {
        return new self(
            array_filter(
                array_map(static fn (array $of): array => array_intersect_key($of, $zones), array_intersect_key($this->said, $zones)),
            ),
        );
    }

    /** @return list<array{one: int, other: int, kind: string}> */
    public function toArray(): array
    {
        $all = [];
        foreach ($this->said as $one => $of) {
            foreach ($of as $other => $kind) {
                $all[] = ['one' => $one, 'other' => $other, 'kind' => $kind->value];
            }
        }

        return $all;
    }

    /** @param  list<array{one: int, other: int, kind: string}>  $all */
    public static function ofArray(array $all): self
    {
        return array_reduce(
            $all,
            static fn (self $notes, array $said): self => $notes->with($said['one'], $said['other'], BorderKind::from($said['kind'])),
            new self(),
        );
    }
}
