<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

/** A drawing half done in some order: what lies, since when, what is in the hand, and what the order has cost so far, in minutes. */
final class Working
{
    /** A sheet is turned. */
    private const TURNING = 1.0;

    /** A step is worked upside down. */
    private const UPSIDE_DOWN = 0.5;

    /** Minutes for which dust lies loose on what was laid. */
    public const FRESH = 20.0;

    /** What a minute with the whole hand on fresh work is worth, and on what is wet. */
    private const SMEARED = 3.0;

    private const WET = 20.0;

    public float $time = 0.0;

    public float $cost = 0.0;

    public float $idle = 0.0;

    public float $underHand = 0.0;

    public int $pickUps = 0;

    public int $turn = 0;

    public ?string $tool = null;

    public ?int $zone = null;

    /** @var array<int, int> steps done, by zone */
    public array $done;

    /** @var array<int, float> when a zone was laid last, minutes */
    public array $laidAt = [];

    /** @var array<int, float> until when a zone is wet */
    public array $wetUntil = [];

    /** @var list<PlacedStep> */
    public array $placed = [];

    public function __construct(private readonly WorkPlan $plan)
    {
        $this->done = array_fill_keys(array_keys($plan->steps), 0);
    }

    public function next(int $zone): ?DeskStep
    {
        return $this->plan->steps[$zone][$this->done[$zone]] ?? null;
    }

    /** Zones that are begun and not done. */
    public function open(): int
    {
        $open = 0;
        foreach ($this->done as $zone => $done) {
            $open += $done > 0 && $done < count($this->plan->steps[$zone]) ? 1 : 0;
        }

        return $open;
    }

    /** @param  ?int  $turn  of the sheet, by quarters; null for the one that keeps the hand off what is fresh */
    public function lay(DeskStep $step, ?int $turn = null): void
    {
        $zone = $step->zone;
        $wait = max(0.0, ($this->wetUntil[$zone] ?? 0.0) - $this->time);
        $this->time += $wait;
        $this->idle += $wait;
        $this->cost += $wait;
        if ($this->done[$zone] === 0) {
            $this->cost += $this->plan->opening * max(0, $this->open() - Precedence::OPEN_TOGETHER);
            foreach ($this->plan->before[$zone] as $other => $cost) {
                $this->cost += $this->done[$other] === 0 ? $cost : 0.0;
            }
        }
        if ($this->zone !== null && $this->zone !== $zone && isset($this->plan->steps[$this->zone][$this->done[$this->zone]])) {
            $this->cost += $this->plan->leaving[$this->zone][$zone];
        }
        if ($this->tool !== $step->tool) {
            $this->pickUps++;
            $this->cost += $this->plan->pickUp;
            $this->tool = $step->tool;
        }
        [$smears, $under, $best] = [INF, 0.0, $this->turn];
        for ($i = 0; $i < ($turn === null ? HandRest::TURNS : 1); $i++) {
            // The sheet stays as it lies where that is no worse.
            $to = $turn ?? ($this->turn + $i) % HandRest::TURNS;
            [$cost, $share] = $this->smears($step, $to);
            $cost += ($to === $this->turn ? 0.0 : self::TURNING) + ($to === HandRest::TURNS / 2 ? self::UPSIDE_DOWN : 0.0);
            if ($cost < $smears) {
                [$smears, $under, $best] = [$cost, $share, $to];
            }
        }
        $this->cost += $smears;
        $this->underHand += $under;
        $this->turn = $best;
        $this->placed[] = new PlacedStep($step, $this->time, $wait, $best, $under / max(0.01, $step->minutes));
        $this->time += $step->minutes;
        $this->zone = $zone;
        $this->done[$zone]++;
        $this->laidAt[$zone] = $this->time;
        if ($step->drying > 0) {
            $this->wetUntil[$zone] = $this->time + $step->drying;
        }
    }

    /** @return array{float, float} its cost, and minutes times the share of the hand that lies on fresh or wet work */
    private function smears(DeskStep $step, int $turn): array
    {
        $cost = $share = 0.0;
        foreach ($this->plan->rest->while($step->zone, $turn) as $below => $part) {
            $laid = $this->laidAt[$below] ?? null;
            if ($laid === null) {
                continue;
            }
            $minutes = max(0.0, min($step->minutes, $laid + self::FRESH - $this->time));
            $wet = max(0.0, min($step->minutes, ($this->wetUntil[$below] ?? 0.0) - $this->time));
            $share += $part * max($minutes, $wet);
            $cost += $part * (self::SMEARED * $minutes + self::WET * $wet);
        }

        return [$cost, $share];
    }
}
