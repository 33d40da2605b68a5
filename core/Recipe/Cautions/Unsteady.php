<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

/** A result that hangs on the hand. */
final readonly class Unsteady implements CautionCheck
{
    public function in(Laying $laying): array
    {
        return $laying->steadiness === null || $laying->steadiness < Caution::UNSTEADY ? [] : [new Caution(CautionCode::Unsteady, 0, 'A slightly firmer or lighter hand changes this result much.', 'Test it on a scrap first, or take the steadiest recipe.')];
    }
}
