<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

/** Wax so heavy that a haze rises on it. */
final class Bloom extends WarningKind
{
    /** Mean wax film that blooms, film units. */
    private const BLOOMS = 1.25;

    public function __construct()
    {
        parent::__construct('bloom', 7, mayCost: self::MAY_COST_TO_SAVE);
    }

    public function in(Laying $laying): array
    {
        if ($laying->trace->waxFilm < self::BLOOMS) {
            return [];
        }
        $heaviest = null;
        foreach ($laying->trace->passes() as $i => $pass) {
            if (
                $pass->pencil->record->binder?->blooms() === true &&
                ($heaviest === null || $pass->pressure > $laying->trace->passes()[$heaviest]->pressure)
            ) {
                $heaviest = $i;
            }
        }

        return [
            $this->at(
                $heaviest ?? 0,
                $laying,
                'The wax is thick here; a pale haze (bloom) can appear after some days.',
                'Wipe it softly and fix the finished drawing; spray outdoors, as the label says.',
            ),
        ];
    }
}
