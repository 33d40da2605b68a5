<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

/** What the passes still to come may make of a distance from a target, in a {@see LocalMetric}. */
final class Ahead
{
    /** A pass does at least a third of what it does at medium pressure. */
    private const LEAST = 0.3;

    /**
     * The share of a squared distance that is left when the pencil that leads nearest goes as far as it helps.
     *
     * @param  float  $most  times what a pass does at medium pressure
     * @param  list<array{float, float, float, float}>  $ahead  where each pencil leads, and the square of its length
     */
    public static function left(float $x, float $y, float $z, float $most, array $ahead): float
    {
        $here = $x * $x + $y * $y + $z * $z;
        $least = $here;
        foreach ($ahead as [$p, $q, $r, $square]) {
            $along = -($x * $p + $y * $q + $z * $r);
            if ($along <= 0.0) {
                continue;
            }
            $t = $along / ($square + 1e-9);
            $t = $t < self::LEAST ? self::LEAST : ($t > $most ? $most : $t);
            $left = $here - 2 * $t * $along + $t * $t * $square;
            if ($left < $least) {
                $least = $left;
            }
        }

        return $least / ($here + 1e-9);
    }
}
