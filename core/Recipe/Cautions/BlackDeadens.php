<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Drawer\Character;

/** A black that takes colour as well as light. */
final readonly class BlackDeadens implements CautionCheck
{
    public function in(Laying $laying): array
    {
        $at = $laying->lastOf(static fn (Character $c): bool => $c->isBlack());

        return $at === null || ! $laying->hasLostChroma() ? [] : [new Caution(CautionCode::BlackDeadens, $laying->trace->number($at), sprintf('The black of pass %d takes colour as well as light: the target is stronger by %.0f C*.', $laying->trace->number($at), $laying->chromaMissing()), 'Darken with a mix of strong darks.')];
    }
}
