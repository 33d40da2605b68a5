<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Progress;

use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/** One tick of the desk: what was done in a zone, and what that zone was to have after it. */
final readonly class Tick
{
    /**
     * @param  PassNote  $pass  what lies, or was left out
     * @param  int  $at  when, seconds since 1970
     * @param  ?SequenceNote  $rest  what was to come after it where that was no more what the plan says
     * @param  string  $plan  names the zone's plan of then, see {@see ZoneProgress::planKey()}
     */
    public function __construct(
        public TickKind $kind,
        public int $zone,
        public PassNote $pass,
        public int $at,
        public ?SequenceNote $rest = null,
        public string $plan = '',
    ) {
    }
}
