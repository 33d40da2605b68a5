<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Drawer\Character;

/** A white that turns a colour to a pastel. */
final readonly class PastelShift implements CautionCheck
{
    public function in(Laying $laying): array
    {
        $at = $laying->lastOf(static fn (Character $c): bool => $c->isWhite());
        if ($at === null || ! $laying->hasLostChroma() || $laying->trace->labs[$at]->chroma() > $laying->trace->before($at)->chroma() - 1) {
            return [];
        }

        return [new Caution(CautionCode::PastelShift, $laying->trace->number($at), sprintf('The white of pass %d turns the colour to a pastel: the target is stronger by %.0f C*.', $laying->trace->number($at), $laying->chromaMissing()), 'Lighten with a yellow or a paler neighbour, or leave paper.')];
    }
}
