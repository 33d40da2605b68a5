<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** What pencils make over one another: every two of a set both ways round, and every order of three. */
final class MixingChart
{
    /** Of more pencils a page can't be read, and a drawer is not learnt. */
    public const MOST = 16;

    /**
     * Row by row: what lies beneath; column by column: what lies on top. On the diagonal a pencil over itself.
     *
     * @param  list<Pencil>  $pencils  2 to {@see self::MOST}
     * @return list<list<Sheet>>
     *
     * @throws OutOfRange
     */
    public static function pairs(array $pencils, Paper $paper, Pressure $beneath, Pressure $above): array
    {
        OutOfRange::check('the number of pencils in a mixing chart', count($pencils), 2, self::MOST);

        return array_map(
            static fn (Pencil $under): array => array_map(
                static fn (Pencil $over): Sheet => (new Stack([
                    new Pass($under, $beneath->share()),
                    new Pass($over, $above->share()),
                ]))->on($paper),
                $pencils,
            ),
            $pencils,
        );
    }

    /**
     * Three pencils in each of their six orders, from the paper up.
     *
     * @param  list<Pencil>  $pencils  exactly three
     * @return list<MixedOrder>
     *
     * @throws OutOfRange
     */
    public static function orders(array $pencils, Paper $paper, Pressure $pressure): array
    {
        OutOfRange::check('the number of pencils in a chart of three', count($pencils), 3, 3);
        [$a, $b, $c] = $pencils;

        return array_map(
            static fn (array $order): MixedOrder => new MixedOrder(
                $order,
                (new Stack(array_map(static fn (Pencil $p): Pass => new Pass($p, $pressure->share()), $order)))->on($paper),
            ),
            [[$a, $b, $c], [$a, $c, $b], [$b, $a, $c], [$b, $c, $a], [$c, $a, $b], [$c, $b, $a]],
        );
    }
}
