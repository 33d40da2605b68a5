<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** How much a zone matters to the picture. */
enum Importance: string
{
    case Little = 'little';
    case Ordinary = 'ordinary';
    case Most = 'most';

    /** Its weight beside its area. */
    public function weight(): float
    {
        return match ($this) {
            self::Little => 0.5,
            self::Ordinary => 1.0,
            self::Most => 2.0,
        };
    }
}
