<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

/** Early passes that leave no tooth for those after them. */
final readonly class ToothSpent implements CautionCheck
{
    public function in(Laying $laying): array
    {
        foreach ($laying->trace->toothUsed as $i => $used) {
            if ($used > Caution::TOOTH_SPENT && $i < count($laying->trace->steps) - 1) {
                return [new Caution(CautionCode::ToothSpent, $laying->trace->number($i), sprintf('Pass %d leaves %d %% of the tooth; what follows will hardly take.', $laying->trace->number($i), round(100 * (1 - $used))), 'Lay the early passes more lightly.')];
            }
        }

        return [];
    }
}
