<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\NextMove;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;

/** How to go on at a place where passes of the plan are still to come: the next one as it is planned, or otherwise. */
final readonly class WayOn
{
    /**
     * @param  int  $lifts  how often an eraser is pressed on first
     * @param  Pass|Finish|null  $next  what is laid next; null when the planned one is left out, or none is to come
     * @param  Pass|Finish|null  $planned  what the plan has next
     * @param  Lab  $end  how the place then ends, with all that is to come
     * @param  ?NextMove  $last  what is done where nothing is to come
     */
    public function __construct(
        public int $lifts,
        public Pass|Finish|null $next,
        public Pass|Finish|null $planned,
        public Lab $end,
        public Lab $target,
        public ?NextMove $last = null,
    ) {
    }

    /** "Go on: 728 firmly", "728 at medium pressure in place of firmly: …", "Leave 728 out", or what mends a finished place. */
    public function words(): string
    {
        if ($this->last !== null) {
            return $this->last->words();
        }
        $lift = $this->lifts === 0 ? '' : 'Lift first with a kneaded eraser, '.NextMove::often($this->lifts).', then ';
        $what = match (true) {
            $this->isAsPlanned() => $lift === '' ? 'Go on: '.self::said($this->next) : $lift.self::said($this->next),
            $this->next === null => $lift.($lift === '' ? 'Leave out ' : 'leave out ').self::named($this->planned),
            default => $lift.
                self::said($this->next).
                ' in place of '.
                ($this->planned instanceof Pass ? Pressure::nearest($this->planned->pressure)->adverb() : ''),
        };

        return sprintf('%s; it then ends %s.', $what, lcfirst((new Comparison($this->end, $this->target))->words()));
    }

    public function isAsPlanned(): bool
    {
        return $this->next !== null && $this->next === $this->planned;
    }

    private static function said(Pass|Finish|null $step): string
    {
        return $step instanceof Pass
            ? $step->pencil->record->number.' '.Pressure::nearest($step->pressure)->adverb()
            : self::named($step);
    }

    private static function named(Pass|Finish|null $step): string
    {
        return $step instanceof Pass ? $step->pencil->record->number : $step->value ?? '';
    }
}
