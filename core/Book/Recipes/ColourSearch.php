<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Recipes;

use KnottyPrism\Core\Colour\Lab;

/** Which recipes come to a like colour: what each came to is kept beside it, and nothing is laid for the asking. */
final class ColourSearch
{
    /** Farther than this is no like colour, ΔE00. */
    public const FARTHEST = 10.0;

    /** L* that may lie between two colours so far apart: the lightness weight of CIEDE2000 is 1.747 at most. */
    public const LIGHTNESS = 1.747 * self::FARTHEST;

    /**
     * @param  iterable<array{int, Lab}>  $colours  a recipe's number and one of its colours
     * @return array<int, float> ΔE00 of its nearest colour by recipe, the nearest first
     */
    public static function nearest(iterable $colours, Lab $like, int $count): array
    {
        $nearest = [];
        foreach ($colours as [$recipe, $lab]) {
            if (abs($lab->l - $like->l) <= self::LIGHTNESS) {
                $apart = $lab->deltaE00($like);
                if ($apart <= self::FARTHEST && $apart < ($nearest[$recipe] ?? INF)) {
                    $nearest[$recipe] = $apart;
                }
            }
        }
        asort($nearest);

        return array_slice($nearest, 0, $count, true);
    }
}
