<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Stack;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;

/** What a stack will look like after every step, and how far the result can be trusted in an ordinary hand. */
final readonly class Prediction
{
    /** @param  list<StepPrediction>  $steps */
    private function __construct(public Paper $paper, public array $steps, public float $steadiness, public float $liveliness)
    {
    }

    public static function of(Stack $stack, Paper $paper): self
    {
        $laid = LaidStack::of($stack, $paper);
        $steps = array_map(static fn (Pass|Finish $step, int $i): StepPrediction => StepPrediction::of($step, $laid->after($i + 1)), $stack->steps, array_keys($stack->steps));

        return new self($paper, $steps, Steadiness::of($stack, $paper), self::spread($laid));
    }

    /** The colour after the last step, or of the bare paper. */
    public function lab(): Lab
    {
        return $this->steps === [] ? Lab::ofReflectance($this->paper->reflectance) : $this->steps[count($this->steps) - 1]->lab;
    }

    public function toothUsed(): float
    {
        return $this->steps === [] ? 0.0 : $this->steps[count($this->steps) - 1]->toothUsed;
    }

    public function evenness(): Evenness
    {
        return $this->steps === [] ? Evenness::of(new Sheet($this->paper)) : $this->steps[count($this->steps) - 1]->evenness;
    }

    /** Root-mean-square ΔE00 of the strata from the whole: 0 for a flat film, more where flecks play. */
    private static function spread(LaidStack $laid): float
    {
        $whole = $laid->lab($laid->steps());
        $sum = 0.0;
        foreach ($laid->strata($laid->steps()) as $stratum) {
            $sum += $stratum->deltaE00($whole) ** 2;
        }

        return sqrt($sum / Tooth::STRATA);
    }
}
