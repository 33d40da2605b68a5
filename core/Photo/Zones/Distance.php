<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** Where a zone's thing stands in the picture's space. */
enum Distance: string
{
    case Near = 'near';
    case Middle = 'middle';
    case Far = 'far';
}
