<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Drawer\Character;

/** A white that turns a colour to a pastel. */
final class PastelShift extends WarningKind
{
    public function __construct()
    {
        parent::__construct('pastel shift', 3);
    }

    public function in(Laying $laying): array
    {
        $at = $laying->lastOf(static fn (Character $c): bool => $c->isWhite());
        if (
            $at === null ||
            ! $laying->hasLostChroma() ||
            $laying->trace->labs[$at]->chroma() > $laying->trace->before($at)->chroma() - 1
        ) {
            return [];
        }

        return [
            $this->at(
                $at,
                $laying,
                sprintf(
                    'The white of pass %d turns the colour to a pastel: the target is stronger by %.0f C*.',
                    $laying->trace->number($at),
                    $laying->chromaMissing(),
                ),
                'Lighten with a yellow or a paler neighbour, or leave paper.',
            ),
        ];
    }
}
