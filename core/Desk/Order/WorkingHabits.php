<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Error\OutOfRange;

/** How someone likes to work: with which hand, in which order, for how long, and what her solvent takes to dry. */
final readonly class WorkingHabits
{
    public const LONGEST_SESSION = 480;

    public const SHORTEST_SESSION = 10;

    public const LONGEST_DRYING = 240;

    /**
     * @param  int  $session  minutes
     * @param  int  $thin  minutes until a thin wash is dry
     * @param  int  $wet  minutes until a wet one is
     * @param  float  $pace  minutes that a step takes her for each that is reckoned, 0.2–5
     *
     * @throws OutOfRange
     */
    public function __construct(
        public WorkOrder $order = WorkOrder::ZoneByZone,
        public bool $leftHanded = false,
        public int $session = 60,
        public int $thin = 5,
        public int $wet = 15,
        public float $pace = 1.0,
    ) {
        OutOfRange::check('the length of a session', $session, self::SHORTEST_SESSION, self::LONGEST_SESSION, 'minutes');
        OutOfRange::check('the drying of a thin wash', $thin, 0, self::LONGEST_DRYING, 'minutes');
        OutOfRange::check('the drying of a wet wash', $wet, 0, self::LONGEST_DRYING, 'minutes');
        OutOfRange::check('the pace', $pace, 0.2, 5.0);
    }
}
