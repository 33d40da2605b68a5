<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

/** What is left of a photo's colours in a way of looking. */
enum Tone: string
{
    case Colour = 'colour';
    case Grey = 'grey';
    case Steps = 'steps';
}
