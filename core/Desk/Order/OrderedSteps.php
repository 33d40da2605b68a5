<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

/** An order of work, and what it takes. */
final readonly class OrderedSteps
{
    /**
     * @param  list<PlacedStep>  $steps
     * @param  float  $minutes  from the first to the end of the last
     * @param  float  $idle  minutes of them spent waiting
     * @param  float  $freshUnderHand  share of the resting hand that lies on fresh work, over the minutes worked
     * @param  float  $cost  minutes, see {@see Working}
     */
    private function __construct(
        public array $steps,
        public int $pickUps,
        public float $minutes,
        public float $idle,
        public float $freshUnderHand,
        public float $cost,
    ) {
    }

    public static function of(Working $done): self
    {
        return new self(
            $done->placed,
            $done->pickUps,
            $done->time,
            $done->idle,
            $done->underHand / max(0.01, $done->time - $done->idle),
            $done->cost,
        );
    }

    /** One zone after the other as they are numbered, the sheet never turned: what is done without any thought. */
    public static function naive(WorkPlan $plan): self
    {
        $working = new Working($plan);
        foreach ($plan->steps as $steps) {
            foreach ($steps as $step) {
                $working->lay($step, 0);
            }
        }

        return self::of($working);
    }
}
