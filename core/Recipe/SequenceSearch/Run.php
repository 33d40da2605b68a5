<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * The passes over a value run while it is searched: each a pencil by its place, and a pressure for every shade, 1 whisper to 5 full, 0 left
 * out.
 */
final readonly class Run
{
    /**
     * @param  list<int>  $pencils  of each pass
     * @param  list<list<int>>  $pressures  of each pass, by shade from the lightest
     */
    public function __construct(public array $pencils = [], public array $pressures = [])
    {
    }

    /**
     * Craft, rule 5: whether a pencil would lie three coats deep on itself. One presses harder instead, or comes back to it later.
     *
     * @param  list<int>  $before  pencils of what lies there
     */
    public static function isThirdCoat(array $before, int $pencil): bool
    {
        return array_slice($before, -2) === [$pencil, $pencil];
    }

    /** @param  list<int>  $pressures */
    public function with(int $pencil, array $pressures): self
    {
        return new self([...$this->pencils, $pencil], [...$this->pressures, $pressures]);
    }

    /** @param  list<int>  $pressures */
    public function exchanged(int $at, int $pencil, array $pressures): self
    {
        return new self(
            array_values(array_replace($this->pencils, [$at => $pencil])),
            array_values(array_replace($this->pressures, [$at => $pressures])),
        );
    }

    public function without(int $at): self
    {
        [$pencils, $pressures] = [$this->pencils, $this->pressures];
        unset($pencils[$at], $pressures[$at]);

        return new self(array_values($pencils), array_values($pressures));
    }

    /** @param  list<int>  $pressures */
    public function inserted(int $at, int $pencil, array $pressures): self
    {
        [$pencils, $all] = [$this->pencils, $this->pressures];
        array_splice($pencils, $at, 0, [$pencil]);
        array_splice($all, $at, 0, [$pressures]);

        return new self(array_values($pencils), array_values($all));
    }

    /** Two passes, one after the other, in each other's place. */
    public function swapped(int $at): self
    {
        return $this->exchanged($at, $this->pencils[$at + 1], $this->pressures[$at + 1])->exchanged(
            $at + 1,
            $this->pencils[$at],
            $this->pressures[$at],
        );
    }

    /** @return list<int> what is laid in one shade, see {@see Moves} */
    public function movesIn(int $shade): array
    {
        $moves = [];
        foreach ($this->pencils as $at => $pencil) {
            $pressure = $this->pressures[$at][$shade];
            if ($pressure > 0) {
                $moves[] = $pencil * Moves::PRESSURES + $pressure - 1;
            }
        }

        return $moves;
    }

    public function length(): int
    {
        return count($this->pencils);
    }

    public function pencilCount(): int
    {
        return count(array_unique($this->pencils));
    }

    public function key(): string
    {
        return implode(';', array_map(static fn (int $p, array $m): string => $p.':'.implode('', $m), $this->pencils, $this->pressures));
    }

    /** The pencils as a set, whatever their order. */
    public function pencilKey(): string
    {
        $set = array_unique($this->pencils);
        sort($set);

        return implode('+', $set);
    }
}
