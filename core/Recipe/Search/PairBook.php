<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;

/**
 * How two passes look, laid once and remembered: the targets of a picture have short lists of a large drawer that differ, but most
 * pairs of pencils are in several of them. One book is for one paper.
 */
final class PairBook
{
    /** @var array<string, array{list<float>, list<float>}> log cone responses, and shares that remain, by both passes */
    private array $pairs = [];

    /** @return array{list<float>, list<float>} */
    public function look(Moves $moves, Sheet $first, int $below, int $above): array
    {
        $key =
            spl_object_id($moves->pencils[Moves::pencilOf($below)]).
            '/'.
            $below % Moves::PRESSURES.
            '/'.
            spl_object_id($moves->pencils[Moves::pencilOf($above)]).
            '/'.
            $above % Moves::PRESSURES;

        return $this->pairs[$key] ??= self::laid($moves, $first, $moves->passes[$above]);
    }

    /** @return array{list<float>, list<float>} */
    public static function laid(Moves $moves, Sheet $first, Pass $second): array
    {
        $two = clone $first;
        LayPass::onto($two, $second->pencil, $second->pressure);

        return [Look::at($two)->logs, $moves->shares($two)];
    }
}
