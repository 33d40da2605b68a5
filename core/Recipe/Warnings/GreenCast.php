<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;

/** Two pencils that meet in a green that neither has and nobody wants. */
final class GreenCast extends WarningKind
{
    public function __construct()
    {
        parent::__construct('green cast', 1);
    }

    public function in(Laying $laying): array
    {
        $heavies = array_map(static fn (Pass $p): Lab => Character::of($p->pencil)->heavy, $laying->trace->passes());
        if (
            count($heavies) < 2 ||
            ComplementTable::isGreenCast($laying->target) ||
            ! ComplementTable::isGreenCast($laying->trace->final(), ...array_values($heavies))
        ) {
            return [];
        }
        $steps = array_keys($heavies);
        $at = $steps[count($steps) - 1];
        foreach (array_reverse($steps) as $step) {
            if (! ComplementTable::isGreenCast($laying->trace->labs[$step], ...array_values($heavies))) {
                break;
            }
            $at = $step;
        }

        return [
            $this->at(
                $at,
                $laying,
                sprintf(
                    'Pass %d turns green with the layers underneath, though neither is green.',
                    $laying->trace->number($at),
                ),
                'Neutralise with a violet or a brown instead.',
            ),
        ];
    }
}
