<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;

/** A result that hangs on the hand, and the pass on which it hangs most. */
final class Unsteady extends WarningKind
{
    /** RMS ΔE00 in an ordinary hand from which a result is a gamble. */
    public const FROM = 5.0;

    public function __construct()
    {
        parent::__construct('unsteady', 10);
    }

    public function in(Laying $laying): array
    {
        if ($laying->steadiness === null || $laying->steadiness < self::FROM) {
            return [];
        }
        $step = self::decisive($laying->trace);

        return [
            $this->at(
                $step,
                $laying,
                sprintf('Slightly more or less pressure in pass %d changes the result a lot.', $laying->trace->number($step)),
                'Try that pass on a scrap first, or build it up in lighter coats.',
            ),
        ];
    }

    /** The step whose pressure moves the result most. */
    private static function decisive(Trace $trace): int
    {
        $decisive = 0;
        $most = -1.0;
        foreach ($trace->passes() as $i => $pass) {
            $firmer = array_values(
                array_replace($trace->steps, [$i => new Pass($pass->pencil, min(1.0, $pass->pressure + Steadiness::PRESSURE_DEVIATION))]),
            );
            $moved = Lab::ofReflectance((new Stack($firmer))->on($trace->paper)->meanReflectance())->deltaE00($trace->final());
            if ($moved > $most) {
                [$decisive, $most] = [$i, $moved];
            }
        }

        return $decisive;
    }
}
