<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\School\Mode;

/** What comes of a stack in its shade, and how far off it may be on paper: all in ΔE00. */
final readonly class ShadeOutcome
{
    /**
     * @param  float  $missed  of the target in a perfect hand, as the mode measures it
     * @param  float  $sway  what an ordinary hand adds
     * @param  float  $doubt  what the model itself may err by
     */
    private function __construct(public Shade $shade, public Stack $stack, public Lab $lab, public float $missed, public float $sway, public float $doubt, public Evenness $evenness, public float $toothUsed)
    {
    }

    public static function of(Shade $shade, Stack $stack, Paper $paper, Mode $mode): self
    {
        $laid = LaidStack::of($stack, $paper);
        $lab = $laid->lab($laid->steps());
        $sheet = $laid->after($laid->steps());

        return new self($shade, $stack, $lab, $mode->apart($lab, $shade->target), Steadiness::of($stack, $paper), Doubt::of($stack), Evenness::of($sheet), $sheet->toothUsed());
    }

    /** How far off it is likely to be on paper, with what shows of the paper where that should not be seen. */
    public function errorOnPaper(): float
    {
        return hypot($this->colourError(), $this->shade->grainCounts * $this->evenness->grain);
    }

    /** How far off its colour is likely to be, seen from so far that nothing shows through. */
    public function colourError(): float
    {
        return sqrt($this->missed ** 2 + $this->sway ** 2 + $this->doubt ** 2);
    }

    /** The same if the model were right. */
    public function errorInHand(): float
    {
        return hypot($this->missed, $this->sway);
    }
}
