<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Colour\Lab;

/** One colour that is asked for: a place of a zone's value run, a touch, which is another colour within it, or a spot's only one. */
final readonly class Shade
{
    /** {@see self::$grainCounts} of something smooth, and where nobody knows what it is. */
    public const SMOOTH = 0.25;

    public Lab $seen;

    /**
     * @param  string  $name  of a zone's: what it is to the zone, see {@see \KnottyPrism\Core\Photo\Zones\ShadeName}
     * @param  Lab  $target  what is aimed at
     * @param  float  $weight  share that it stands for, of its zone or of the picture, times how much it matters; above 0
     * @param  bool  $touch  whether it stands beside the value run
     * @param  string  $called  what an artist calls it; empty where that is its name
     * @param  float  $grainCounts ΔE00 of error that an L* of grain is as bad as, see {@see \KnottyPrism\Core\Medium\Laying\Sheet::grain()}
     * @param  ?Lab  $seen  in the photo; null when that is the target
     */
    public function __construct(
        public string $name,
        public Lab $target,
        public float $weight = 1.0,
        public bool $touch = false,
        public string $called = '',
        public float $grainCounts = self::SMOOTH,
        ?Lab $seen = null,
    ) {
        $this->seen = $seen ?? $target;
    }

    public static function ofSpot(Lab $target, float $grainCounts = self::SMOOTH): self
    {
        return new self('spot', $target, grainCounts: $grainCounts);
    }

    /** The same asked for in another colour. */
    public function aimedAt(Lab $target): self
    {
        return $this->with(target: $target);
    }

    /** The same where grain counts otherwise. */
    public function minding(float $grainCounts): self
    {
        return $this->with(grainCounts: $grainCounts);
    }

    public function weighing(float $weight): self
    {
        return $this->with(weight: $weight);
    }

    private function with(mixed ...$changed): self
    {
        return new self(...[...get_object_vars($this), ...$changed]);
    }

    public function isNamed(): bool
    {
        return $this->called !== '';
    }

    /** As one would say it. */
    public function called(): string
    {
        return $this->called === '' ? $this->name : $this->called;
    }

    /**
     * The shade that a method speaks of: the heaviest of the value run.
     *
     * @param  non-empty-list<self>  $shades
     */
    public static function main(array $shades): self
    {
        return array_reduce(
            $shades,
            static fn (self $main, self $s): self => $s->touch < $main->touch || ($s->touch === $main->touch && $s->weight > $main->weight)
                ? $s
                : $main,
            $shades[0],
        );
    }
}
