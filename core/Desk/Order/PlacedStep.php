<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

/** A step at its place in an order. */
final readonly class PlacedStep
{
    /**
     * @param  float  $start  minutes from the beginning
     * @param  float  $waits  minutes before it, for what dries
     * @param  int  $turn  how the sheet lies, quarters to the left
     * @param  float  $underHand  share of the resting hand that lies on fresh work meanwhile
     */
    public function __construct(public DeskStep $step, public float $start, public float $waits, public int $turn, public float $underHand)
    {
    }
}
