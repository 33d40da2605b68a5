<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

/** What a laid stack is worth in a shade, ΔE00. */
final readonly class Judged
{
    /**
     * @param  float  $sway  squared; estimated
     * @param  float  $grain  what its grain is as bad as
     * @param  array{float, float, float}  $finishMoves  what the finish does to the log cone responses
     */
    public function __construct(
        public float $missed,
        public float $sway,
        public float $doubt,
        public float $grain,
        public array $finishMoves,
    ) {
    }

    /** How far off it is likely to be on paper. */
    public function error(): float
    {
        return sqrt($this->missed * $this->missed + $this->sway + $this->doubt * $this->doubt + $this->grain * $this->grain);
    }
}
