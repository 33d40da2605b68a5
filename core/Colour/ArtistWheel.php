<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * The wheel that painters are taught: red, orange, yellow, green, blue and violet at equal turns, so that red faces green, orange
 * blue and yellow violet. Evenly perceived hues (OKLCh) are bent onto it between the places where the six are at their truest.
 */
final class ArtistWheel
{
    /** @var list<array{float, float}> OKLCh hue of each truest colour, and its place on the wheel; the first again at the end */
    private const PLACES = [[25.0, 0.0], [60.0, 60.0], [105.0, 120.0], [150.0, 180.0], [250.0, 240.0], [305.0, 300.0], [385.0, 360.0]];

    /** @return float degrees, 0 red, 120 yellow, 240 blue */
    public static function placeOf(float $hueDegrees): float
    {
        $hue = $hueDegrees < self::PLACES[0][0] ? $hueDegrees + 360 : $hueDegrees;
        [$fromHue, $from] = self::PLACES[0];
        foreach (self::PLACES as [$toHue, $to]) {
            if ($hue < $toHue && $toHue > $fromHue) {
                return fmod($from + ($to - $from) * ($hue - $fromHue) / ($toHue - $fromHue), 360);
            }
            [$fromHue, $from] = [$toHue, $to];
        }

        return 0.0;
    }

    /** How far two hues (OKLCh degrees) lie apart on the wheel, 0–180. */
    public static function apart(float $hue, float $other): float
    {
        $turn = abs(self::placeOf($hue) - self::placeOf($other));

        return min($turn, 360 - $turn);
    }
}
