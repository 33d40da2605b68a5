<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Medium\Finishes\Solvent;

/** Solvent on a sheet that takes none in. */
final class SolventNotAdvised extends WarningKind
{
    /** A tooth shallower than this is a film or a coated sheet. */
    private const FILM_ROUGHNESS = 0.3;

    public function __construct()
    {
        parent::__construct('solvent not advised', 12, mayCost: self::MAY_COST_TO_SAVE);
    }

    public function in(Laying $laying): array
    {
        $at = array_key_first(array_filter($laying->trace->steps, static fn ($step): bool => $step instanceof Solvent));

        return $at === null || $laying->trace->paper->tooth->roughness >= self::FILM_ROUGHNESS
            ? []
            : [
                $this->at(
                    $at,
                    $laying,
                    'On a film or a coated sheet solvent floats the colour off instead of sinking it in.',
                    'Even it with a dry tissue; with any solvent follow the label, with air.',
                ),
            ];
    }
}
