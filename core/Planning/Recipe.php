<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper;
use KnottyPrism\Core\Medium\Prediction;
use KnottyPrism\Core\Medium\Stack;

/** An answer to "how do I make this colour": what to lay in what order, what comes of it, and what to mind. */
final readonly class Recipe
{
    /** @param  list<Caution>  $cautions */
    private function __construct(
        public RecipeLabel $label,
        public Lab $target,
        public Stack $stack,
        public Prediction $prediction,
        public Comparison $comparison,
        public array $cautions,
    ) {
    }

    public static function of(RecipeLabel $label, Lab $target, Stack $stack, Paper $paper): self
    {
        $prediction = Prediction::of($stack, $paper);
        $comparison = new Comparison($prediction->lab(), $target);

        return new self($label, $target, $stack, $prediction, $comparison, Caution::of($stack, $prediction, $comparison));
    }
}
