<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

/** What each answer is good at. */
enum RecipeLabel: string
{
    /** The answer to take: least far off on paper, with the hand's errors and the model's own. */
    case Surest = 'surest on paper';

    /** A single pencil that comes nearest, and what was laid by hand or is laid again. */
    case Closest = 'closest';
    case FewestPencils = 'fewest pencils';
    case ComplementBeneath = 'complement beneath';

    /** Nearest in theory, and said so: a hand and the model's own errors come on top. */
    case PerfectHand = 'closest in a perfect hand';

    /** Shows least of the paper, where that is clearly less than the surest does. */
    case Evenest = 'evenest';

    /** What shares least with the surest, where one of the others has no answer of its own. */
    case OtherPencils = 'other pencils';
}
