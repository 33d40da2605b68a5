<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** What a check looks at: a stack as it was laid, what it was meant to become, and how far a hand sways it. */
final readonly class Laying
{
    /** C*ab that must be missing before black or white is blamed. */
    private const CHROMA_LOST = 4.0;

    public Lab $target;

    /** See {@see Shade::$grainCounts}. */
    public float $grainCounts;

    /**
     * @param  int  $shade  its place among the shades of its sequence
     * @param  ?float  $steadiness  RMS ΔE00 in an ordinary hand; null when it is not looked at
     */
    public function __construct(public Trace $trace, Shade $of, public int $shade, public ?float $steadiness)
    {
        [$this->target, $this->grainCounts] = [$of->target, $of->grainCounts];
    }

    /** C*ab by which the result is weaker than the target. */
    public function chromaMissing(): float
    {
        return $this->target->chroma() - $this->trace->final()->chroma();
    }

    /** Whether the result is greyer than the target by more than an eye forgives. */
    public function hasLostChroma(): bool
    {
        return $this->chromaMissing() > self::CHROMA_LOST;
    }

    /** @param  \Closure(Character): bool  $is */
    public function lastOf(\Closure $is): ?int
    {
        $at = null;
        foreach ($this->trace->passes() as $i => $pass) {
            $at = $is(Character::of($pass->pencil)) ? $i : $at;
        }

        return $at;
    }
}
