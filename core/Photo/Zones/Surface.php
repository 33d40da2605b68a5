<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** What a zone's thing is like to touch: it decides how its layers may be finished. */
enum Surface: string
{
    case HardAndShiny = 'hard and shiny';
    case Smooth = 'smooth';
    case SoftAndFuzzy = 'soft and fuzzy';
    case Rough = 'rough';
}
