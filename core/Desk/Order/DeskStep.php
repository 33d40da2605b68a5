<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Medium\Laying\Pressure;

/** One pass of one zone, as something to be done. */
final readonly class DeskStep
{
    /**
     * @param  int  $pass  of its zone's sequence, from 0
     * @param  string  $tool  identifier of a pencil, or a finish
     * @param  float  $minutes  that it takes
     * @param  float  $drying  minutes until its zone may be touched again
     * @param  bool  $touches  whether it goes over touches alone
     * @param  list<?Pressure>  $pressures  by shade of its zone
     */
    public function __construct(
        public int $zone,
        public int $pass,
        public string $tool,
        public float $minutes,
        public float $drying = 0.0,
        public bool $touches = false,
        public array $pressures = [],
    ) {
    }
}
