<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/** Warm or cool by hue; a colour too grey to tell is neutral, and greens and red-violets sit between. */
enum Temperature: string
{
    case Warm = 'warm';
    case Between = 'between warm and cool';
    case Cool = 'cool';
    case Neutral = 'neutral';

    public static function of(Lab $lab): self
    {
        $c = Oklch::ofLab($lab);
        $family = Family::of($lab);

        return match (true) {
            $c->chroma < Family::NEUTRAL_CHROMA => self::Neutral,
            // What is almost grey is warm or cool by its lean, as its name says.
            ! $family->isChromatic() => $family->leansWarm() ? self::Warm : self::Cool,
            $c->hueDegrees < 118 || $c->hueDegrees >= 345 => self::Warm,
            $c->hueDegrees >= 165 && $c->hueDegrees < 300 => self::Cool,
            default => self::Between,
        };
    }
}
