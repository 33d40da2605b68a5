<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Colour\Lab;

/** One colour that an area asks for: a place of its value run, or a touch, which is another colour within it. */
final readonly class Shade
{
    /** {@see self::$grainCounts} of something smooth, and where nobody knows what it is. */
    public const SMOOTH = 0.25;

    /**
     * @param  Lab  $target  what is aimed at
     * @param  float  $weight  share of the area that it stands for, above 0
     * @param  bool  $touch  whether it stands beside the value run
     * @param  string  $called  what an artist calls it, where that is not its name
     * @param  float  $grainCounts  ΔE00 of error that an L* of grain is as bad as, see {@see \KnottyPrism\Core\Medium\Laying\Sheet::grain()}
     */
    public function __construct(public string $name, public Lab $target, public float $weight = 1.0, public bool $touch = false, private string $called = '', public float $grainCounts = self::SMOOTH)
    {
    }

    /** The same asked for in another colour. */
    public function aimedAt(Lab $target): self
    {
        return new self($this->name, $target, $this->weight, $this->touch, $this->called, $this->grainCounts);
    }

    /** The same where grain counts otherwise. */
    public function minding(float $grainCounts): self
    {
        return new self($this->name, $this->target, $this->weight, $this->touch, $this->called, $grainCounts);
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
     * The shade that a school speaks of: the heaviest of the value run.
     *
     * @param  non-empty-list<self>  $shades
     */
    public static function main(array $shades): self
    {
        return array_reduce($shades, static fn (self $main, self $s): self => $s->touch < $main->touch || ($s->touch === $main->touch && $s->weight > $main->weight) ? $s : $main, $shades[0]);
    }
}
