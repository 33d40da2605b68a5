<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Medium\Stack\Prediction;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Cautions\Cautions;
use KnottyPrism\Core\Recipe\Cautions\Remedies;
use KnottyPrism\Core\Recipe\Cautions\Trace;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** An answer to "how do I make this colour": what to lay in what order, what comes of it, and what to mind. */
final readonly class Recipe
{
    /**
     * @param  list<Caution>  $cautions
     * @param  float  $doubt  what the model may err by, ΔE00
     * @param  float  $grainCounts  see {@see Shade::$grainCounts}
     */
    private function __construct(
        public RecipeLabel $label,
        public Lab $target,
        public Stack $stack,
        public Prediction $prediction,
        public Comparison $comparison,
        public array $cautions,
        public float $doubt,
        public Evenness $evenness,
        private float $grainCounts,
    ) {
    }

    /**
     * @param  ?Remedies  $remedies  tries what removes each caution; without, cautions keep their general advice
     * @param  float  $grainCounts  see {@see Shade::$grainCounts}
     */
    public static function of(RecipeLabel $label, Lab $target, Stack $stack, Paper $paper, ?Remedies $remedies = null, float $grainCounts = Shade::SMOOTH): self
    {
        $prediction = Prediction::of($stack, $paper);
        $trace = Trace::of($stack, $paper);
        $cautions = Cautions::in($trace, $target, $prediction->steadiness, $grainCounts);
        if ($remedies !== null) {
            $cautions = array_map(static fn (Caution $c): Caution => $remedies->for($c, $stack, $target), $cautions);
        }

        return new self($label, $target, $stack, $prediction, new Comparison($prediction->lab(), $target), $cautions, Doubt::of($stack), $trace->evenness, $grainCounts);
    }

    /** How far off it is likely to be on paper, ΔE00: what is missed, what an ordinary hand adds, what the model may err by, and what shows through. */
    public function errorOnPaper(): float
    {
        return hypot($this->colourError(), $this->grainCounts * $this->evenness->grain);
    }

    /** The same of its colour alone, as from so far that nothing shows through. */
    public function colourError(): float
    {
        return sqrt($this->comparison->deltaE00 ** 2 + $this->prediction->steadiness ** 2 + $this->doubt ** 2);
    }
}
