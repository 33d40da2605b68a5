<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

/** Early passes that leave no tooth for those after them. */
final class ToothSpent extends WarningKind
{
    /** Share of the tooth after which a next pass hardly takes. */
    public const FROM = 0.85;

    public function __construct()
    {
        parent::__construct('tooth spent', 6, mayCost: self::MAY_COST_TO_SAVE);
    }

    public function in(Laying $laying): array
    {
        foreach ($laying->trace->toothUsed as $i => $used) {
            if ($used > self::FROM && $i < count($laying->trace->steps) - 1) {
                return [
                    $this->at(
                        $i,
                        $laying,
                        sprintf(
                            'Pass %d leaves %d %% of the tooth; later passes will hardly hold.',
                            $laying->trace->number($i),
                            round(100 * (1 - $used)),
                        ),
                        'Lay the early passes more lightly.',
                    ),
                ];
            }
        }

        return [];
    }
}
