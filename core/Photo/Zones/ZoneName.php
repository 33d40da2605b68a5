<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;

/** A first name for a zone, from its colour and its place, until someone gives it a better one: "dark brown, lower right". */
final class ZoneName
{
    /**
     * @param  array{float, float}  $centre  as shares of the picture
     * @param  list<string>  $taken
     */
    public static function of(Lab $mid, array $centre, array $taken): string
    {
        $family = (new ColourReading($mid))->family;
        $colour = $family->isChromatic() || $family->base === 'grey' ? ValueScale::word($mid).' '.explode(',', $family->words())[0] : explode(',', $family->words())[0];
        $name = $colour.', '.self::place(...$centre);
        for ($n = 2, $plain = $name; in_array($name, $taken, true); $n++) {
            $name = "$plain $n";
        }

        return $name;
    }

    private static function place(float $x, float $y): string
    {
        $across = $x < 0.36 ? 'left' : ($x > 0.64 ? 'right' : '');
        $down = $y < 0.36 ? 'upper' : ($y > 0.64 ? 'lower' : '');

        return match (true) {
            $across === '' && $down === '' => 'middle',
            $across === '' => $down.' middle',
            $down === '' => 'middle '.$across,
            default => "$down $across",
        };
    }
}
