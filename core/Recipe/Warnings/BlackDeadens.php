<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Drawer\Character;

/** A black that takes colour as well as light. */
final class BlackDeadens extends WarningKind
{
    public function __construct()
    {
        parent::__construct('black deadens', 2);
    }

    public function in(Laying $laying): array
    {
        $at = $laying->lastOf(static fn (Character $c): bool => $c->isBlack());

        return $at === null || ! $laying->hasLostChroma()
            ? []
            : [
                $this->at(
                    $at,
                    $laying,
                    sprintf(
                        'The black of pass %d dulls the colour: the target is stronger by %.0f C*.',
                        $laying->trace->number($at),
                        $laying->chromaMissing(),
                    ),
                    'Darken with a mix of strong darks.',
                ),
            ];
    }
}
