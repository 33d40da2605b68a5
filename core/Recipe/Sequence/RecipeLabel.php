<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

/** What each answer is good at. */
enum RecipeLabel: string
{
    /** The answer to take: least far off on paper, with the hand's errors and the model's own. */
    case Surest = 'surest on paper';

    case Closest = 'closest';
    case FewestPencils = 'fewest pencils';
    case Steadiest = 'steadiest';
    case ComplementBeneath = 'complement beneath';

    /** Nearest in theory, and said so: a hand and the model's own errors come on top. */
    case PerfectHand = 'closest in a perfect hand';

    /** Only where one of the four above has no answer of its own, as when the closest is the steadiest too. */
    case OtherPencils = 'other pencils';
}
