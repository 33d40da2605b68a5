<?php

declare(strict_types=1);

namespace App\Book;

use KnottyPrism\Core\Book\Log\LogSession;
use KnottyPrism\Core\Book\Log\WorkLog;
use Sabre\VObject\Component\VCalendar;

/** Sessions for a calendar: an event each (RFC 5545). */
final class WorkCalendar
{
    private const PRODUCT = '-//Knotty Prism//Log//EN';

    /**
     * @param  array<int, string>  $studies  their names
     * @param  array<int, string>  $notes  of sessions, by their first tick
     */
    public static function of(WorkLog $log, array $studies, array $notes, string $host): string
    {
        $calendar = new VCalendar(['PRODID' => self::PRODUCT]);
        foreach ($log->sessions as $session) {
            $calendar->add(
                'VEVENT',
                self::event($session, $studies[$session->study()] ?? '', $notes[$session->passes[0]->id] ?? '', $host),
            );
        }

        return $calendar->serialize();
    }

    /** @return array<string, string|\DateTimeImmutable> */
    private static function event(LogSession $session, string $study, string $note, string $host): array
    {
        $passes = count($session->laid());
        $zones = array_values(array_unique(array_filter(array_map(static fn ($p): string => $p->zone, $session->laid()))));
        $at = static fn (int $seconds): \DateTimeImmutable => new \DateTimeImmutable("@$seconds");

        return [
            'UID' => "session-{$session->passes[0]->id}@$host",
            'DTSTAMP' => $at($session->ended()),
            'DTSTART' => $at($session->began()),
            'DTEND' => $at(max($session->began() + 60, $session->ended())),
            'SUMMARY' => "Drawing: $study",
            'DESCRIPTION' => trim(sprintf("%d %s: %s.\n%s", $passes, $passes === 1 ? 'pass' : 'passes', implode(', ', $zones), $note)),
        ];
    }
}
