<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Log;

/** A pass as it was ticked at the desk: laid, done otherwise, or left out. */
final readonly class LoggedPass
{
    /**
     * @param  int  $id  of the tick
     * @param  int  $study  its number
     * @param  int  $at  when it was ticked, seconds since 1970
     * @param  string  $zone  what it was called then
     * @param  string  $tool  identifier of a pencil, or a finish
     * @param  float  $minutes  reckoned for an ordinary pace
     * @param  ?float  $film  laid film by area, film units · mm²; null when it was not reckoned
     */
    public function __construct(
        public int $id,
        public int $study,
        public int $at,
        public string $zone,
        public string $tool,
        public bool $skipped,
        public float $minutes,
        public ?float $film,
    ) {
    }
}
