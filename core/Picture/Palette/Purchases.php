<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** Which pencils not at hand would bring a picture nearest: each tried alone, over and under the recipes that are not well made. */
final readonly class Purchases
{
    /**
     * A target nearer than this, ΔE00, is no reason to buy a pencil: sequences miss as much where pencils at hand would come nearer and a hand
     * would err more. A gain below the other is none either.
     */
    private const WELL_MADE = 4.0;

    private const WORTH_BUYING = 0.05;

    /**
     * @param  list<MadeColour>  $made  how each target of the picture is made now
     * @param  list<Pencil>  $pencils  not at hand
     * @return list<Purchase> by how much the mean ΔE00 of the picture falls, the most first
     */
    public static function for(array $made, array $pencils, Paper $paper, int $count): array
    {
        $weight = array_sum(array_map(static fn (MadeColour $m): float => $m->weight, $made));
        $poor = array_values(array_filter($made, static fn (MadeColour $m): bool => $m->deltaE00 > self::WELL_MADE));
        $found = [];
        foreach ($poor === [] ? [] : $pencils as $pencil) {
            $gain = array_sum(array_map(static fn (MadeColour $m): float => $m->weight * max(0.0, $m->deltaE00 - self::nearestWith($pencil, $m->stack, $m->target, $paper)), $poor)) / $weight;
            if ($gain > self::WORTH_BUYING) {
                $found[] = new Purchase($pencil, $gain);
            }
        }
        usort($found, static fn (Purchase $a, Purchase $b): int => $b->gain <=> $a->gain);

        return array_slice($found, 0, $count);
    }

    private static function nearestWith(Pencil $pencil, Stack $stack, Lab $target, Paper $paper): float
    {
        $least = INF;
        foreach (PressureMark::pressures() as $pressure) {
            $pass = new Pass($pencil, $pressure);
            foreach ([[$pass], [$pass, $pass], [...$stack->steps, $pass], [$pass, ...$stack->steps]] as $steps) {
                $least = min($least, Lab::ofReflectance((new Stack($steps))->on($paper)->meanReflectance())->deltaE00($target));
            }
        }

        return $least;
    }
}
