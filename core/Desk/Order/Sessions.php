<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

/**
 * An order divided into sessions that each end at a good place to stop: what is begun is done, a pencil is put down, or something may dry
 * meanwhile.
 */
final class Sessions
{
    /** A session may be so much shorter or longer than wished. */
    private const SHORTER = 0.35;

    private const LONGER = 0.2;

    /** What a bad place to stop is worth, as a share of the session that one would rather be off by. */
    private const UNFINISHED = 0.08;

    private const SAME_PENCIL = 0.12;

    private const DRIES = -0.2;

    /**
     * @param  list<PlacedStep>  $steps  in the order in which they are laid
     * @return list<list<PlacedStep>>
     */
    public static function of(array $steps, int $minutes): array
    {
        $left = [];
        foreach ($steps as $placed) {
            $left[$placed->step->zone] = ($left[$placed->step->zone] ?? 0) + 1;
        }
        $begun = $sessions = [];
        $at = 0;
        while ($at < count($steps)) {
            $end = self::end($steps, $at, $minutes, $left, $begun);
            $session = array_slice($steps, $at, $end - $at);
            foreach ($session as $placed) {
                $left[$placed->step->zone]--;
                $begun[$placed->step->zone] = true;
            }
            $sessions[] = $session;
            $at = $end;
        }

        return $sessions;
    }

    /**
     * What is left of the session that somebody sits at, and the sessions after it.
     *
     * @param  list<PlacedStep>  $laid  since she sat down
     * @param  list<PlacedStep>  $yet  in the order in which they are laid
     * @return array{list<list<PlacedStep>>, bool} and whether this is where a session ends
     */
    public static function after(array $laid, array $yet, int $minutes): array
    {
        $before = count($laid);
        $sessions = [];
        $ends = false;
        foreach (self::of([...$laid, ...$yet], $minutes) as $session) {
            $rest = array_slice($session, min($before, count($session)));
            $ends = $ends || ($laid !== [] && $before === count($session));
            $before -= min($before, count($session));
            if ($rest !== []) {
                $sessions[] = $rest;
            }
        }

        return [$sessions, $ends];
    }

    /**
     * @param  list<PlacedStep>  $steps
     * @param  array<int, int>  $left  steps to come, by zone
     * @param  array<int, true>  $begun
     * @return int the first step of the next session
     */
    private static function end(array $steps, int $from, int $minutes, array $left, array $begun): int
    {
        $worked = 0.0;
        [$best, $least] = [$from + 1, INF];
        for ($at = $from; $at < count($steps); $at++) {
            $step = $steps[$at]->step;
            $before = $worked;
            $worked += $step->minutes + ($at > $from ? $steps[$at]->waits : 0.0);
            $left[$step->zone]--;
            $begun[$step->zone] = true;
            if ($at > $from && $before > $minutes * (1 - self::SHORTER) && $worked > $minutes * (1 + self::LONGER)) {
                break;
            }
            $last = $at === count($steps) - 1;
            $open = count(array_filter($begun, static fn (bool $_, int $zone): bool => $left[$zone] > 0, ARRAY_FILTER_USE_BOTH));
            $bad =
                abs($worked - $minutes) / $minutes +
                ($last
                    ? -1.0
                    : self::UNFINISHED * $open +
                        ($steps[$at + 1]->step->tool === $step->tool ? self::SAME_PENCIL : 0.0) +
                        ($step->drying > 0 ? self::DRIES : 0.0));
            if ($bad <= $least) {
                [$best, $least] = [$at + 1, $bad];
            }
        }

        return $best;
    }
}
