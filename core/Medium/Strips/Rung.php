<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Strips;

use KnottyPrism\Core\Medium\Laying\Sheet;

/** One dab of a ladder: the stack as it comes out when every pass is pressed so many times as hard as planned. */
final readonly class Rung
{
    public function __construct(public float $pressure, public Sheet $sheet)
    {
    }

    /** As it is said beside the dab. */
    public function words(): string
    {
        return match (true) {
            $this->pressure < 0.65 => 'far lighter',
            $this->pressure < 0.8 => 'lighter',
            $this->pressure < 0.95 => 'a little lighter',
            $this->pressure < 1.05 => 'as planned',
            $this->pressure < 1.25 => 'a little heavier',
            $this->pressure < 1.5 => 'heavier',
            default => 'far heavier',
        };
    }
}
