<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** What a zone asks for: its shades in the order in which its sequence has them, the lightest first, touches last. */
final class ZoneShades
{
    /** A touch is looked at more than its area says: a few red columns make a roof. */
    private const TOUCH_COUNTS = 2.5;

    /** What a touch weighs at least against the value run: one that is there at all is worth a pass. */
    private const LEAST_TOUCH = 0.1;

    /**
     * @param  float  $importance  how much the zone matters
     * @param  Method  $method  the method in which it is worked
     * @param  \Closure(Lab): Lab  $fit  what is aimed at for what is seen
     * @return non-empty-list<Shade> their weights are shares of the picture, times how much they matter
     */
    public static function of(Zone $zone, float $importance, Method $method, \Closure $fit): array
    {
        $shades = [];
        foreach (ShadeName::cases() as $shade) {
            $seen = $zone->shades[$shade->value] ?? null;
            if ($seen !== null) {
                $weight = $zone->area * $zone->shareOf($shade) * $importance * ($shade->isOfValueRun() ? 1.0 : self::TOUCH_COUNTS);
                $shades[] = new Shade(
                    $shade->value,
                    $fit($seen),
                    $weight,
                    ! $shade->isOfValueRun(),
                    $zone->nameOf($shade),
                    $zone->surface->grainCounts() * $method->grainCounts(),
                    $seen,
                );
            }
        }

        return $shades ?: throw new \LogicException('A zone has a mid.');
    }

    /**
     * As a sequence for them is searched: no touch so small that it would be left out.
     *
     * @param  non-empty-list<Shade>  $shades
     * @return non-empty-list<Shade>
     */
    public static function worked(array $shades): array
    {
        $least = self::LEAST_TOUCH * array_sum(array_map(static fn (Shade $s): float => $s->touch ? 0.0 : $s->weight, $shades));

        return array_map(static fn (Shade $s): Shade => $s->touch ? $s->weighing(max($s->weight, $least)) : $s, $shades);
    }

    /**
     * As pencils are chosen for them: the mid first, as the other shades should take what it takes; grain counts by what the zone is,
     * whatever its method.
     *
     * @param  list<Shade>  $shades
     * @return list<Shade>
     */
    public static function forPalette(array $shades, Zone $zone): array
    {
        $mid = array_filter($shades, static fn (Shade $s): bool => $s->name === ShadeName::Mid->value);

        return array_map(static fn (Shade $s): Shade => $s->minding($zone->surface->grainCounts()), [
            ...array_values($mid),
            ...array_values(array_diff_key($shades, $mid)),
        ]);
    }
}
