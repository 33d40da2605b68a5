<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Book\Log\LoggedPass;
use KnottyPrism\Core\Book\Log\LogSession;
use KnottyPrism\Core\Book\Log\LogTotal;
use KnottyPrism\Core\Book\Log\Supply;
use KnottyPrism\Core\Book\Log\Wear;
use KnottyPrism\Core\Book\Log\WorkLog;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/**
 * The log in the form of docs/openapi.yaml.
 *
 * @phpstan-import-type LogSessionJson from \Described
 * @phpstan-import-type LogTotalJson from \Described
 * @phpstan-import-type LogTotalOfJson from \Described
 * @phpstan-import-type PencilSupplyJson from \Described
 */
final class LogResource
{
    /**
     * @param  array<string, PencilRecord>  $pencils  of the shelf, by identifier
     * @param  array<int, list<array{id: int, at: int}>>  $checks  photos of drawings, by study
     * @return LogSessionJson
     */
    public static function session(LogSession $session, string $study, array $pencils, Wear $wear, string $note, array $checks): array
    {
        $tools = [];
        foreach ($session->laid() as $pass) {
            $tools[$pass->tool] = ($tools[$pass->tool] ?? 0.0) + ($pass->film ?? 0.0);
        }
        $within = array_filter(
            $checks[$session->study()] ?? [],
            static fn (array $c): bool => $c['at'] >= $session->began() && $c['at'] <= $session->ended() + WorkLog::PAUSE,
        );

        return [
            'id' => $session->passes[0]->id,
            'study' => $session->study(),
            'studyName' => $study,
            'began' => $session->began(),
            'ended' => $session->ended(),
            'minutes' => round($session->minutes(), 1),
            'passes' => count($session->laid()),
            'leftOut' => count($session->passes) - count($session->laid()),
            'zones' => array_values(
                array_unique(
                    array_filter(
                        array_map(static fn (LoggedPass $p): string => $p->zone, $session->passes),
                        static fn (string $z): bool => $z !== '',
                    ),
                ),
            ),
            'tools' => array_map(
                static fn (string $tool, float $film): array => [
                    ...self::tool($tool, $pencils[$tool] ?? null),
                    'usedMm' => round($wear->millimetres($film), 1),
                ],
                array_keys($tools),
                $tools,
            ),
            'note' => $note,
            'checks' => array_values(array_column($within, 'id')),
        ];
    }

    /**
     * @return array{id: string, number: string, name: string, hex: string|null} a pencil, or a finish or a pencil that has left the shelf,
     *   by its name alone
     */
    private static function tool(string $id, ?PencilRecord $record): array
    {
        return [
            'id' => $id,
            'number' => $record->number ?? (string) preg_replace('/^.*\//', '', $id),
            'name' => $record->name ?? '',
            'hex' => $record->heavy ?? null,
        ];
    }

    /** @return LogTotalJson */
    public static function total(LogTotal $total, Wear $wear): array
    {
        return [
            'sessions' => $total->sessions,
            'passes' => $total->passes,
            'minutes' => round($total->minutes, 1),
            'usedMm' => round($wear->millimetres($total->film), 1),
        ];
    }

    /**
     * @param  array<int, LogTotal>  $totals
     * @param  \Closure(int): string  $name
     * @return list<LogTotalOfJson>
     */
    public static function totals(array $totals, \Closure $name, Wear $wear): array
    {
        return array_map(
            static fn (int $of, LogTotal $t): array => ['of' => $of, 'name' => $name($of), ...self::total($t, $wear)],
            array_keys($totals),
            array_values($totals),
        );
    }

    /** @return array{laidMm: float, leftMm: ?float, words: string} of one pencil, whatever is planned */
    public static function worn(PencilRecord $pencil, Supply $supply): array
    {
        return [
            'laidMm' => round($supply->used, 1),
            'leftMm' => $supply->left === null ? null : round($supply->left, 1),
            'words' => $supply->words(trim($pencil->number.' '.$pencil->name)),
        ];
    }

    /** @return value-of<PencilSupplyJson['pencils']> */
    public static function supply(PencilRecord $pencil, Supply $supply, Stock $stock): array
    {
        return [
            ...self::tool($pencil->id(), $pencil),
            'line' => $pencil->line,
            'stock' => $stock->value,
            'usedMm' => round($supply->used, 1),
            'leftMm' => $supply->left === null ? null : round($supply->left, 1),
            'neededMm' => round($supply->needed, 1),
            'short' => round($supply->short(), 1),
            'runsLow' => $supply->runsLow(),
            'words' => $supply->words(trim($pencil->number.' '.$pencil->name)),
        ];
    }
}
