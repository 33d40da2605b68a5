<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Log;

/** What some sessions come to. */
final readonly class LogTotal
{
    /** @param  float  $film  film units · mm², all pencils together */
    private function __construct(public int $sessions, public int $passes, public float $minutes, public float $film)
    {
    }

    /** @param  list<LogSession>  $sessions */
    public static function of(array $sessions): self
    {
        $passes = 0;
        $minutes = $film = 0.0;
        foreach ($sessions as $session) {
            $laid = $session->laid();
            $passes += count($laid);
            $minutes += $session->minutes();
            foreach ($laid as $pass) {
                $film += $pass->film ?? 0.0;
            }
        }

        return new self(count($sessions), $passes, $minutes, $film);
    }
}
