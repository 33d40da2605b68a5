<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Tables;

use KnottyPrism\Core\Book\Log\LoggedPass;
use KnottyPrism\Core\Book\Log\Wear;
use KnottyPrism\Core\Book\Log\WorkLog;

/** The log as a table for spreadsheets: a row for every pass, with its session's number. */
final class WorkLogCsv
{
    private const HEAD = ['session', 'study', 'done_at', 'zone', 'tool', 'left_out', 'minutes_reckoned', 'millimetres_used'];

    /**
     * @param  array<int, string>  $studies  their names
     * @param  array<string, string>  $tools  what pencils are called, by their identifiers
     */
    public static function of(WorkLog $log, array $studies, array $tools, Wear $wear): string
    {
        $rows = [self::HEAD];
        foreach ($log->sessions as $i => $session) {
            foreach ($session->passes as $pass) {
                $rows[] = self::row($i + 1, $pass, $studies[$pass->study] ?? '', $tools[$pass->tool] ?? $pass->tool, $wear);
            }
        }

        return implode("\r\n", array_map(CsvCell::row(...), $rows))."\r\n";
    }

    /** @return list<string|int|float|null> */
    private static function row(int $session, LoggedPass $pass, string $study, string $tool, Wear $wear): array
    {
        return [
            $session,
            $study,
            gmdate('Y-m-d\TH:i:s\Z', $pass->at),
            $pass->zone,
            $tool,
            $pass->skipped ? 'yes' : 'no',
            round($pass->minutes, 2),
            $pass->film === null || $pass->skipped ? null : round($wear->millimetres($pass->film), 2),
        ];
    }
}
