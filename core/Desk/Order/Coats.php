<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

/** Steps as one does them: coats of one zone that follow each other alike are one thing to read and to tick. */
final class Coats
{
    /**
     * @param  list<PlacedStep>  $steps  in the order in which they are laid
     * @return list<non-empty-list<PlacedStep>>
     */
    public static function together(array $steps): array
    {
        $together = [];
        foreach ($steps as $placed) {
            $coats = array_pop($together);
            if ($coats !== null && ! self::alike($coats[count($coats) - 1], $placed)) {
                $together[] = $coats;
                $coats = null;
            }
            $together[] = [...$coats ?? [], $placed];
        }

        return $together;
    }

    private static function alike(PlacedStep $one, PlacedStep $next): bool
    {
        [$a, $b] = [$one->step, $next->step];

        // What dries is looked at between.
        return $a->zone === $b->zone &&
            $a->tool === $b->tool &&
            $a->pressures === $b->pressures &&
            $one->turn === $next->turn &&
            $a->drying <= 0.0;
    }
}
