<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Log;

/** All that was ticked at the desks of somebody's studies, as sessions; and what it comes to. */
final readonly class WorkLog
{
    /** Who ticks nothing for so long has got up, seconds. */
    public const PAUSE = 5400;

    /** Seconds. */
    private const DAY = 86_400;

    /** @var list<LogSession> the earliest first */
    public array $sessions;

    /** @param  list<LoggedPass>  $passes  in any order */
    public function __construct(array $passes)
    {
        usort($passes, static fn (LoggedPass $a, LoggedPass $b): int => $a->at <=> $b->at);
        $sessions = $open = [];
        foreach ($passes as $pass) {
            $last = $open === [] ? $pass : $open[count($open) - 1];
            if ($open !== [] && ($pass->study !== $last->study || $pass->at - $last->at > self::PAUSE)) {
                $sessions[] = new LogSession($open);
                $open = [];
            }
            $open[] = $pass;
        }
        $this->sessions = $open === [] ? $sessions : [...$sessions, new LogSession($open)];
    }

    public function total(): LogTotal
    {
        return LogTotal::of($this->sessions);
    }

    /**
     * @param  \Closure(LogSession): int  $by  its study, its year
     * @return array<int, LogTotal> by that, the latest first
     */
    public function totals(\Closure $by): array
    {
        $groups = [];
        foreach (array_reverse($this->sessions) as $session) {
            $groups[$by($session)][] = $session;
        }

        return array_map(LogTotal::of(...), $groups);
    }

    /**
     * Week after week without a gap, those without work among them.
     *
     * @param  int  $now  seconds since 1970
     * @param  int  $most  weeks
     * @return array<int, LogTotal> by its Monday at midnight UTC, seconds since 1970; from the first with work on to the week of now
     */
    public function weeks(int $now, int $most): array
    {
        if ($this->sessions === []) {
            return [];
        }
        $monday = static fn (int $at): int => $at - ($at % self::DAY) - ((int) gmdate('N', $at) - 1) * self::DAY;
        $worked = $this->totals(static fn (LogSession $s): int => $monday($s->began()));
        // The latest week comes first.
        [$first, $latest] = [(int) array_key_last($worked), (int) array_key_first($worked)];
        $last = max($monday($now), $latest);
        $weeks = [];
        for ($week = max($first, $last - 7 * self::DAY * ($most - 1)); $week <= $last; $week += 7 * self::DAY) {
            $weeks[$week] = $worked[$week] ?? LogTotal::of([]);
        }

        return $weeks;
    }

    /** @return array<string, float> laid film of every pencil by its identifier, film units · mm², the most used first */
    public function film(): array
    {
        $film = [];
        foreach ($this->sessions as $session) {
            foreach ($session->laid() as $pass) {
                $film[$pass->tool] = ($film[$pass->tool] ?? 0.0) + ($pass->film ?? 0.0);
            }
        }
        arsort($film);

        return array_filter($film, static fn (float $f): bool => $f > 0);
    }

    /** What a pencil laid after one time and up to another, seconds since 1970; film units · mm². */
    public function filmOf(string $pencil, int $after = 0, int $until = PHP_INT_MAX): float
    {
        $film = 0.0;
        foreach ($this->sessions as $session) {
            foreach ($session->laid() as $pass) {
                $film += $pass->tool === $pencil && $pass->at > $after && $pass->at <= $until ? $pass->film ?? 0.0 : 0.0;
            }
        }

        return $film;
    }
}
