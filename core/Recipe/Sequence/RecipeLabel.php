<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

/** What each answer is good at. */
enum RecipeLabel: string
{
    /** The answer to take: least far off on paper, with the hand's errors and the model's own. */
    case Surest = 'surest on paper';

    /** What recipes kept from earlier were called, and a single pencil that comes nearest. */
    case Closest = 'closest';
    case Steadiest = 'steadiest';
    case FewestPencils = 'fewest pencils';
    case ComplementBeneath = 'complement beneath';

    /** Nearest in theory, and said so: a hand and the model's own errors come on top. */
    case PerfectHand = 'closest in a perfect hand';

    /** Shows least of the paper, where that is clearly less than the surest does. */
    case Evenest = 'evenest';

    /** What shares least with the surest, where one of the others has no answer of its own. */
    case OtherPencils = 'other pencils';
}
