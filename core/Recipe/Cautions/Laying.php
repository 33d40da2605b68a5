<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;

/** What a check looks at: a stack as it was laid, what it was meant to become, and how far a hand sways it. */
final readonly class Laying
{
    /** C*ab that must be missing before black or white is blamed. */
    private const CHROMA_LOST = 4.0;

    /**
     * @param  ?float  $steadiness  RMS ΔE00 in an ordinary hand, where it is known
     * @param  float  $grainCounts  see {@see \KnottyPrism\Core\Recipe\Sequence\Shade::$grainCounts}
     */
    public function __construct(public Trace $trace, public Lab $target, public ?float $steadiness, public float $grainCounts)
    {
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
