<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Method\Mode;

/**
 * What a stack makes of its shade, and how far off it may be on paper: all in ΔE00. Laid once; steadiness is worked out when it is asked
 * for.
 */
final class Outcome
{
    private ?float $sway = null;

    /**
     * @param  float  $missed  of the target in a perfect hand, as the mode measures it
     * @param  float  $doubt  what the model itself may err by
     * @param  float  $toothUsed  0–1
     */
    private function __construct(
        public readonly Shade $shade,
        public readonly LaidStack $laid,
        public readonly Lab $lab,
        public readonly float $missed,
        public readonly float $doubt,
        public readonly Evenness $evenness,
        public readonly float $toothUsed,
    ) {
    }

    public static function of(Shade $shade, Stack $stack, Paper $paper, Mode $mode): self
    {
        $laid = LaidStack::of($stack, $paper);
        $lab = $laid->lab($laid->steps());
        $sheet = $laid->after($laid->steps());

        return new self(
            $shade,
            $laid,
            $lab,
            $mode->apart($lab, $shade->target),
            Doubt::of($stack),
            Evenness::of($sheet),
            $sheet->toothUsed(),
        );
    }

    public function stack(): Stack
    {
        return $this->laid->stack;
    }

    public function comparison(): Comparison
    {
        return new Comparison($this->lab, $this->shade->target);
    }

    /** What an ordinary hand adds. */
    public function sway(): float
    {
        return $this->sway ??= Steadiness::of($this->laid->stack, $this->laid->after(0)->paper);
    }

    /** How far off it is likely to be on paper, with what shows of the paper where that should not be seen. */
    public function errorOnPaper(): float
    {
        return hypot($this->colourError(), $this->grainError());
    }

    /** What it is off by in the steadiest of hands: error on paper is no less. */
    public function leastError(): float
    {
        return sqrt($this->missed ** 2 + $this->doubt ** 2 + $this->grainError() ** 2);
    }

    /** How far off its colour is likely to be, seen from so far that nothing shows through. */
    public function colourError(): float
    {
        return sqrt($this->missed ** 2 + $this->sway() ** 2 + $this->doubt ** 2);
    }

    /** The same if the model were right. */
    public function errorInHand(): float
    {
        return hypot($this->missed, $this->sway());
    }

    private function grainError(): float
    {
        return $this->shade->grainCounts * $this->evenness->grain;
    }
}
