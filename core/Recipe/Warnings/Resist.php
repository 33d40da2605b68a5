<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;

/** A firm pass that leaves the surface slick for the next. */
final class Resist extends WarningKind
{
    /** Film a slick surface must refuse, as a share, and the pressure from which a pass is firm enough to make it so. */
    private const REFUSED = 0.18;

    private const FIRM = 0.8;

    public function __construct()
    {
        parent::__construct('resist', 4);
    }

    public function in(Laying $laying): array
    {
        $firm = null;
        foreach ($laying->trace->steps as $i => $step) {
            if ($firm !== null && $step instanceof Pass && $laying->trace->taken[$i] < 1 - self::REFUSED) {
                return [
                    $this->at(
                        $firm,
                        $laying,
                        sprintf(
                            'Pass %d leaves the surface slick; pass %d loses %.0f %% of its colour there.',
                            $laying->trace->number($firm),
                            $laying->trace->number($i),
                            100 * (1 - $laying->trace->taken[$i]),
                        ),
                        'Lay the firm pass last, or more lightly.',
                    ),
                ];
            }
            if (($step instanceof Pass && $step->pressure >= self::FIRM) || ($step instanceof Finish && $step->seals)) {
                $firm = $i;
            }
        }

        return [];
    }
}
