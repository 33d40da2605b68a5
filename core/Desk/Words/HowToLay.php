<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Words;

use KnottyPrism\Core\Desk\Order\DeskZone;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Zones\Surface;

/** How a pass is laid, in the few words that are read from an easel's length: what point, and which way the strokes run. */
final class HowToLay
{
    /** mm² below which a place is found with the point. */
    private const SMALL = 150.0;

    /**
     * @param  list<bool>  $touches  whether a shade is a touch
     * @param  float  $area  mm² that it goes over
     */
    public static function point(WorkPass $pass, array $touches, float $area, bool $first): string
    {
        $firm = array_filter($pass->pressures, static fn (?Pressure $m): bool => $m === Pressure::Firm || $m === Pressure::Full);

        return match (true) {
            $pass->finish !== null => $pass->finish->tool,
            $pass->isOn($touches), $area < self::SMALL => 'a sharp point',
            $first => 'a dull point, its side to the paper',
            $firm !== [] => 'a point that is rounded off',
            default => 'a sharp point, small strokes',
        };
    }

    /**
     * In which order the pieces of a zone are gone over: away from the hand, so that it lies on none that is fresh.
     *
     * @return ?string null when they lie together
     */
    public static function pieces(DeskZone $zone, bool $leftHanded): ?string
    {
        $places = $zone->places;
        usort($places, static fn (array $a, array $b): int => $leftHanded ? $b[0] <=> $a[0] : $a[0] <=> $b[0]);
        $where = array_values(array_unique(array_column($places, 2)));

        return count($where) < 2 ? null : 'One after the other: '.implode(', ', $where).'.';
    }

    /** @param  ?string  $strokes  what the artist decided for the zone, in words; null when she did not */
    public static function strokes(WorkPass $pass, ?string $strokes, Surface $surface): string
    {
        if ($pass->finish?->lifts === true) {
            return 'never rubbed';
        }

        return $strokes ?? match ($surface) {
            Surface::HardAndShiny => 'along the form, edges crisp',
            Surface::Smooth => 'along the form, strokes close',
            Surface::SoftAndFuzzy => 'short, the way it grows',
            Surface::Rough => 'loose, the tooth left open',
        };
    }
}
