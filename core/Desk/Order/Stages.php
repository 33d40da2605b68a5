<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Picture\PassesLaid;

/** What lies after each step of an order of work. */
final class Stages
{
    /**
     * @param  list<PlacedStep>  $order  from the bare paper on
     * @param  int<0, max>  $steps  of them that are laid
     */
    public static function after(array $order, int $steps): PassesLaid
    {
        $laid = array_fill_keys(array_map(static fn (PlacedStep $p): int => $p->step->zone, array_slice($order, $steps)), 0);
        foreach (array_slice($order, 0, $steps) as $placed) {
            if (isset($laid[$placed->step->zone])) {
                $laid[$placed->step->zone]++;
            }
        }

        // A zone that is done is whole, also where the artist holds a longer stack in one of its shades.
        return new PassesLaid(PassesLaid::MOST, $laid);
    }
}
