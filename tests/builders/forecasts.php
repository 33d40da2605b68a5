<?php

declare(strict_types=1);

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Moves;
use Tests\Core\Pencils;

const FIVE = ['yellow', 'red', 'violet', 'green', 'black'];

/** @return array{Moves, Atlas} the same five pencils' for all tests */
function fivePencils(): array
{
    static $made = null;
    if ($made === null) {
        $moves = new Moves(new Drawer(array_map(Pencils::named(...), FIVE)), Paper::whiteMedium());
        $made = [$moves, Atlas::of($moves)];
    }

    return $made;
}

/** @param  array{float, float, float}  $v */
function squaredLength(array $v): float
{
    return $v[0] ** 2 + $v[1] ** 2 + $v[2] ** 2;
}
