<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * The passes over a value run while it is searched: each a pencil by its place, and a mark for every shade, 1 whisper to 5 full, 0 left
 * out.
 */
final readonly class Run
{
    /**
     * @param  list<int>  $pencils  of each pass
     * @param  list<list<int>>  $marks  of each pass, by shade from the lightest
     */
    public function __construct(public array $pencils = [], public array $marks = [])
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

    /** @param  list<int>  $marks */
    public function with(int $pencil, array $marks): self
    {
        return new self([...$this->pencils, $pencil], [...$this->marks, $marks]);
    }

    /** @param  list<int>  $marks */
    public function exchanged(int $at, int $pencil, array $marks): self
    {
        return new self(
            array_values(array_replace($this->pencils, [$at => $pencil])),
            array_values(array_replace($this->marks, [$at => $marks])),
        );
    }

    public function without(int $at): self
    {
        [$pencils, $marks] = [$this->pencils, $this->marks];
        unset($pencils[$at], $marks[$at]);

        return new self(array_values($pencils), array_values($marks));
    }

    /** @param  list<int>  $marks */
    public function inserted(int $at, int $pencil, array $marks): self
    {
        [$pencils, $all] = [$this->pencils, $this->marks];
        array_splice($pencils, $at, 0, [$pencil]);
        array_splice($all, $at, 0, [$marks]);

        return new self(array_values($pencils), array_values($all));
    }

    /** Two passes, one after the other, in each other's place. */
    public function swapped(int $at): self
    {
        return $this->exchanged($at, $this->pencils[$at + 1], $this->marks[$at + 1])->exchanged(
            $at + 1,
            $this->pencils[$at],
            $this->marks[$at],
        );
    }

    /** @return list<int> what is laid in one shade, see {@see Moves} */
    public function movesIn(int $shade): array
    {
        $moves = [];
        foreach ($this->pencils as $at => $pencil) {
            $mark = $this->marks[$at][$shade];
            if ($mark > 0) {
                $moves[] = $pencil * Moves::MARKS + $mark - 1;
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
        return implode(';', array_map(static fn (int $p, array $m): string => $p.':'.implode('', $m), $this->pencils, $this->marks));
    }

    /** The pencils as a set, whatever their order. */
    public function pencilKey(): string
    {
        $set = array_unique($this->pencils);
        sort($set);

        return implode('+', $set);
    }
}
