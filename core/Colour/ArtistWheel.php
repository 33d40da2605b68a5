<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * The wheel that painters are taught: red, orange, yellow, green, blue and violet at equal turns, so that red faces green, orange
 * blue and yellow violet. Evenly perceived hues (OKLCh) are bent onto it between the places where the six are at their truest.
 */
final class ArtistWheel
{
    /** OKLCh hue of red, orange, yellow, green, blue, violet at their truest, and red again: 60° apart on the wheel. */
    private const HUES = [25, 60, 105, 150, 250, 305, 385];

    /** @return float degrees, 0 red, 120 yellow, 240 blue */
    public static function placeOf(float $hueDegrees): float
    {
        $hue = $hueDegrees < self::HUES[0] ? $hueDegrees + 360 : $hueDegrees;
        $at = 1;
        while ($at < count(self::HUES) - 1 && $hue >= self::HUES[$at]) {
            $at++;
        }
        $share = ($hue - self::HUES[$at - 1]) / max(1.0, self::HUES[$at] - self::HUES[$at - 1]);

        return fmod(60.0 * ($at - 1 + $share), 360);
    }

    /** How far two hues (OKLCh degrees) lie apart on the wheel, 0–180. */
    public static function apart(float $hue, float $other): float
    {
        $turn = abs(self::placeOf($hue) - self::placeOf($other));

        return min($turn, 360 - $turn);
    }
}
