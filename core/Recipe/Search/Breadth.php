<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

/**
 * How broadly an area is searched: as far as its answers come clearly nearer by it, and no further. docs/benchmarks.md has what was tried.
 */
final readonly class Breadth
{
    /**
     * @param  int  $beam  runs kept at every length while they are built
     * @param  int  $polished  runs, each of another set of pencils, that are changed in small ways once
     * @param  int  $finished  of these the best, changed as long as that helps
     * @param  int  $widened  of these the best, tried with one more pass of any pencil
     * @param  int  $rounds  how often
     * @param  int  $judged  of all, those whose sway in a hand is worked out in full
     */
    private function __construct(
        public int $beam,
        public int $polished,
        public int $finished,
        public int $widened,
        public int $rounds,
        public int $judged,
    ) {
    }

    /** One colour needs less than a value run does. */
    public static function over(int $shades): self
    {
        return $shades > 1 ? new self(16, 12, 8, 3, 1, 8) : new self(10, 8, 3, 1, 1, 5);
    }

    /** For a value run whose best ends far off: what was kept may have been the wrong few, above all where a method has an order. */
    public static function again(): self
    {
        return new self(24, 30, 16, 6, 2, 16);
    }

    /** For what is only compared: a third of the time, and seldom half a ΔE00 farther off. */
    public static function glance(): self
    {
        return new self(8, 6, 3, 1, 1, 4);
    }

    /** For one answer among others. */
    public static function aside(): self
    {
        return new self(4, 2, 1, 0, 0, 2);
    }
}
