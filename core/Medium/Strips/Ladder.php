<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Strips;

use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;

/** Dabs a step either way of a stack, to hold beside a strip and say which it is most like: an eye judges a match better than a figure. */
final class Ladder
{
    /** Pressures over the planned one, in steps that an eye tells apart. */
    public const PRESSURES = [0.6, 0.73, 0.87, 1.0, 1.17, 1.37, 1.6];

    /** @return non-empty-list<Rung> lightest hand first */
    public static function of(Stack $stack, Paper $paper): array
    {
        return array_map(
            static fn (float $pressure): Rung => new Rung($pressure, $stack->on($paper->under(new Hand(pressure: $pressure)))),
            self::PRESSURES,
        );
    }
}
