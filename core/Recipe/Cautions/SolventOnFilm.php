<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Medium\Finishes\Solvent;

/** Solvent on a sheet that takes none in. */
final readonly class SolventOnFilm implements CautionCheck
{
    /** A tooth shallower than this is a film or a coated sheet. */
    private const FILM_ROUGHNESS = 0.3;

    public function in(Laying $laying): array
    {
        $at = array_key_first(array_filter($laying->trace->steps, static fn ($step): bool => $step instanceof Solvent));

        return $at === null || $laying->trace->paper->tooth->roughness >= self::FILM_ROUGHNESS ? [] : [new Caution(CautionCode::Solvent, $laying->trace->number($at), 'On a film or a coated sheet solvent floats the colour off instead of sinking it in.', 'Even it with a dry tissue; with any solvent follow the label, with air.')];
    }
}
