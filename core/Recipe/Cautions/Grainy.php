<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Medium\Laying\Evenness;

/** Paper that shows through where the thing is smooth: right from afar, and pepper at arm's length. */
final readonly class Grainy implements CautionCheck
{
    public function in(Laying $laying): array
    {
        if ($laying->grainCounts < Caution::GRAIN_COUNTS || $laying->trace->evenness->grain < Evenness::GRAINY) {
            return [];
        }

        return [new Caution(CautionCode::Grainy, 0, sprintf('This stays grainy where it should be smooth (%s).', $laying->trace->evenness->words()), 'Lay a lighter pencil beneath or one more light coat, even it with a dry tissue, or burnish it where that suits the surface.')];
    }
}
