<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Something to mind in a recipe: the step that causes it (1 the first; 0 the whole), in words, and what was tried that removes it. */
final readonly class Caution
{
    /** Share of the tooth after which a next pass hardly takes. */
    public const TOOTH_SPENT = 0.85;

    /** ΔE00 by which a colour is missed that says more than an ordinary hand on a paper errs by anyway. */
    public const OUT_OF_REACH = 6.0;

    /** A surface on which grain counts so much or more, see {@see Shade::$grainCounts}, is a smooth one. */
    public const GRAIN_COUNTS = 0.2;

    /** RMS ΔE00 in an ordinary hand from which a result is a gamble. */
    public const UNSTEADY = 5.0;

    /**
     * @param  string  $remedy  in words
     * @param  ?Stack  $remedied  the stack that was tried and is free of this caution; null where nothing tried is
     */
    public function __construct(public CautionCode $code, public int $step, public string $text, public string $remedy, public ?Stack $remedied = null)
    {
    }

    public function with(string $remedy, Stack $remedied): self
    {
        return new self($this->code, $this->step, $this->text, $remedy, $remedied);
    }
}
