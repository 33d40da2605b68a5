<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Colour\Comparison;

/** A colour that the pencils at hand stop short of. */
final readonly class OutOfReach implements CautionCheck
{
    public function in(Laying $laying): array
    {
        $comparison = new Comparison($laying->trace->final(), $laying->target);

        return $comparison->deltaE00 < Caution::OUT_OF_REACH ? [] : [new Caution(CautionCode::OutOfReach, 0, sprintf('This stops short of its colour. %s.', $comparison->words()), 'Accept it, lay another pencil there, or add one that is nearer.')];
    }
}
