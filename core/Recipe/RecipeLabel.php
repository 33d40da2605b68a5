<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

/** What each answer is good at. */
enum RecipeLabel: string
{
    case Closest = 'closest';
    case FewestPencils = 'fewest pencils';
    case Steadiest = 'steadiest';
    case ComplementBeneath = 'complement beneath';

    /** Only where one of the four above has no answer of its own, as when the closest is the steadiest too. */
    case OtherPencils = 'other pencils';
}
