<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;

/** First names for zones, by colour as one speaks of them ("dark red", "pale blue"), and by place too where two would be called alike. */
final class ZoneName
{
    /**
     * @param  list<array{Lab, array{float, float}}>  $zones  the mid of each, and where most of it lies, as shares of the picture
     * @return list<string> no two alike
     */
    public static function all(array $zones): array
    {
        $colours = array_map(static fn (array $zone): string => self::colour($zone[0]), $zones);
        $alike = array_count_values($colours);
        $names = [];
        foreach ($zones as $i => [, $centre]) {
            $name = $plain = $alike[$colours[$i]] > 1 ? $colours[$i].', '.self::place(...$centre) : $colours[$i];
            for ($n = 2; in_array($name, $names, true); $n++) {
                $name = "$plain $n";
            }
            $names[] = $name;
        }

        return $names;
    }

    /** What is neither light nor dark is called by its hue alone. */
    private static function colour(Lab $mid): string
    {
        $family = (new ColourReading($mid))->family;
        $hue = str_replace('neutral ', '', explode(',', $family->words())[0]);
        $value = ValueScale::word($mid);
        $saysValue = ($family->isChromatic() && $value !== 'middle') || $family->base === 'grey';

        return $saysValue ? "$value $hue" : $hue;
    }

    /** Where in a picture a point lies, in words. */
    public static function place(float $x, float $y): string
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
