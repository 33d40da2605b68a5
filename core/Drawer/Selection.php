<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** Some of very many pencils, by the colours that were recorded of them: what is laid and compared costs too much for thousands. */
final class Selection
{
    /**
     * So many, each as far as can be from those already taken; all where there are no more.
     *
     * @param  list<Pencil>  $pencils
     * @return list<Pencil>
     */
    public static function spread(array $pencils, int $most): array
    {
        if (count($pencils) <= $most) {
            return $pencils;
        }
        $colours = self::colours($pencils);
        $nearest = array_fill(0, count($pencils), INF);
        $taken = [];
        for ($next = 0; count($taken) < $most; $next = (int) array_search(max(0.0, ...$nearest), $nearest, true)) {
            $taken[] = $pencils[$next];
            foreach ($colours as $i => $colour) {
                $nearest[$i] = min($nearest[$i], self::apart($colour, $colours[$next]));
            }
        }

        return $taken;
    }

    /**
     * So many that lie nearest to one; all where there are no more.
     *
     * @param  list<Pencil>  $pencils
     * @return list<Pencil>
     */
    public static function near(Pencil $to, array $pencils, int $most): array
    {
        if (count($pencils) <= $most) {
            return $pencils;
        }
        $own = Lab::ofHex($to->record->heavy);
        $apart = array_map(static fn (Lab $colour): float => self::apart($colour, $own), self::colours($pencils));
        asort($apart);

        return array_map(static fn (int $i): Pencil => $pencils[$i], array_slice(array_keys($apart), 0, $most));
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return list<Lab>
     */
    private static function colours(array $pencils): array
    {
        return array_map(static fn (Pencil $p): Lab => Lab::ofHex($p->record->heavy), $pencils);
    }

    /** The square of the plain distance: it only tells what is far and what is near. */
    private static function apart(Lab $one, Lab $other): float
    {
        return ($one->l - $other->l) ** 2 + ($one->a - $other->a) ** 2 + ($one->b - $other->b) ** 2;
    }
}
