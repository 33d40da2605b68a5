<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\NextMove;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;

/** What to do next at a place: one more pass, lift some, or leave it. */
final readonly class NextMove
{
    /**
     * @param  int  $times  how often: an eraser is pressed on more than once
     * @param  ?string  $why  why nothing is to be done, where nothing is
     */
    public function __construct(
        public Pass|Finish|null $step,
        public int $times,
        public Lab $before,
        public Lab $after,
        public Lab $target,
        public float $toothUsed,
        public ?string $why = null,
    ) {
    }

    /** How it differs now from what was meant: "Near: a step too light, leans too blue". */
    public function fault(): string
    {
        return (new Comparison($this->before, $this->target))->words();
    }

    public function deltaBefore(): float
    {
        return $this->before->deltaE00($this->target);
    }

    public function deltaAfter(): float
    {
        return $this->after->deltaE00($this->target);
    }

    public static function often(int $times): string
    {
        return match ($times) {
            1 => 'once',
            2 => 'twice',
            default => "$times times",
        };
    }

    /** "711 lightly over it: it then ends close, half a step too light" */
    public function words(): string
    {
        if ($this->step === null) {
            return 'Leave it: '.$this->why;
        }
        $what =
            $this->step instanceof Finish
                ? 'Lift with a kneaded eraser, '.self::often($this->times)
                : sprintf('%s %s over it', $this->step->pencil->record->number, Pressure::nearest($this->step->pressure)->adverb());

        return sprintf('%s: it then ends %s.', $what, lcfirst((new Comparison($this->after, $this->target))->words()));
    }
}
