<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Medium\Pencil\Pencil;

/** Which pencils of other lines come nearest to one, in the heavy and in the light swatch. */
final class Equivalents
{
    /** ΔE00 of the heavy swatch up to which a pencil may stand in for another. */
    public const NEAR = 4.0;

    /** The light swatch counts half: it shows the lean, and a hand makes up for its strength. */
    private const LIGHT_WEIGHT = 0.5;

    /**
     * @param  list<Portrait>  $others
     * @return list<Equivalent> nearest first
     */
    public static function of(Portrait $portrait, array $others, int $count): array
    {
        $found = [];
        foreach ($others as $other) {
            if ($other->pencil !== $portrait->pencil && ! $other->pencil->isBlender()) {
                $found[] = new Equivalent(
                    $portrait,
                    $other,
                    $portrait->heavy->deltaE00($other->heavy),
                    $portrait->light->deltaE00($other->light),
                );
            }
        }
        usort(
            $found,
            static fn (Equivalent $a, Equivalent $b): int => $a->heavy + self::LIGHT_WEIGHT * $a->light <=>
                $b->heavy + self::LIGHT_WEIGHT * $b->light,
        );

        return array_slice($found, 0, $count);
    }

    /**
     * For every pencil of one list the nearest of another.
     *
     * @param  list<Pencil>  $from
     * @param  list<Pencil>  $to
     * @return list<Equivalent>
     */
    public static function table(array $from, array $to): array
    {
        $others = array_map(static fn (Pencil $p): Portrait => new Portrait($p), $to);
        $rows = [];
        foreach ($from as $pencil) {
            array_push($rows, ...$pencil->isBlender() ? [] : self::of(new Portrait($pencil), $others, 1));
        }

        return $rows;
    }
}
