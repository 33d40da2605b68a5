<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/** Chroma in words, by C*ab. */
enum Strength: string
{
    case Greyed = 'greyed';
    case Muted = 'muted';
    case Clear = 'clear';
    case Vivid = 'vivid';

    public static function of(Lab $lab): self
    {
        $chroma = $lab->chroma();

        return match (true) {
            $chroma < 12 => self::Greyed,
            $chroma < 30 => self::Muted,
            $chroma < 58 => self::Clear,
            default => self::Vivid,
        };
    }
}
