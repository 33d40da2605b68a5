<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

/** What each answer is good at. */
enum RecipeLabel: string
{
    case Closest = 'closest';
    case FewestPencils = 'fewest pencils';
    case Steadiest = 'steadiest';
    case ComplementBeneath = 'complement beneath';
}
