<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Medium\Laying\Sheet;

/** What can be done to laid film between passes, without laying colour: each is a class of its own. Figures and reasons: docs/model.md, "Finishes". */
enum Finish: string
{
    case Solvent = 'solvent';
    case Blender = 'blender';
    case Tissue = 'tissue';
    case Lift = 'lift';

    /** Minutes before a next pass may follow, shortest and longest; [0, 0] where there is nothing to wait for. */
    public const SOLVENT_DRYING_MINUTES = [5, 15];

    public function applyTo(Sheet $sheet): void
    {
        match ($this) {
            self::Solvent => Solvent::onto($sheet),
            self::Blender => BlenderPass::onto($sheet),
            self::Tissue => Tissue::onto($sheet),
            self::Lift => Lifting::onto($sheet),
        };
        $sheet->rebuild();
    }
}
