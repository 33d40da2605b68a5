<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

/** Everything the planner warns of. */
enum CautionCode: string
{
    case GreenCast = 'green cast';
    case BlackDeadens = 'black deadens';
    case PastelShift = 'pastel shift';
    case Resist = 'resist';
    case ValueJump = 'value jump';
    case ToothSpent = 'tooth spent';
    case Bloom = 'bloom';
    case NotLightfast = 'not lightfast';
    case OutOfReach = 'out of reach';
    case Unsteady = 'unsteady';
    /** Of something smooth. */
    case Grainy = 'grainy';
    case Solvent = 'solvent not advised';
    /** Of two touching zones, and of one zone's targets. */
    case Twins = 'twins';
    case Flat = 'flat';
}
