<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Photos\FullDisk;
use App\Work\Pulse;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Storage;

/**
 * Whether everything an answer needs is there: the just-in-time compiler, the database, the queue worker, the storage and room on its disk.
 */
final class HealthController extends Controller
{
    private const WAITS_SECONDS = 2;

    public function __invoke(): JsonResponse
    {
        // A database that is frozen takes the connection and then says nothing.
        ini_set('mysqlnd.net_read_timeout', (string) self::WAITS_SECONDS);
        // Photos may lie on a disk of their own.
        $free = min(FullDisk::freeBytes(storage_path()) ?? PHP_INT_MAX, FullDisk::freeBytes(storage_path('app/private')) ?? PHP_INT_MAX);
        $checks = [
            'jit' => self::holds(static fn (): bool => (opcache_get_status(false)['jit']['on'] ?? false) === true),
            'database' => self::holds(self::databaseAnswers(...)),
            'queueWorker' => Pulse::isHeard(),
            'storage' => self::holds(self::storageKeeps(...)),
            'diskSpace' => $free >= FullDisk::LEAST_FREE_BYTES,
        ];
        $ok = ! in_array(false, $checks, true);

        return new JsonResponse(
            ['ok' => $ok, ...$checks, 'freeMegabytes' => intdiv($free, 1_000_000), 'php' => PHP_VERSION],
            $ok ? 200 : 503,
            ['Cache-Control' => 'no-store'],
        );
    }

    /** Asked once, by a connection of its own: the framework's tries four times, and would wait four times as long. */
    private static function databaseAnswers(): bool
    {
        /** @var array{host: string, port: string|int, database: string, username: string, password: string} $to */
        $to = config('database.connections.'.config('database.default'));
        $one = (new \PDO(
            "mysql:host={$to['host']};port={$to['port']};dbname={$to['database']}",
            $to['username'],
            $to['password'],
        ))->query('select 1');

        return $one !== false && (int) $one->fetchColumn() === 1;
    }

    private static function storageKeeps(): bool
    {
        $word = bin2hex(random_bytes(8));
        Storage::put("health/$word", $word);
        $kept = Storage::get("health/$word") === $word;
        Storage::delete("health/$word");

        return $kept;
    }

    /** @param  \Closure(): bool  $check */
    private static function holds(\Closure $check): bool
    {
        try {
            return $check();
        } catch (\Throwable) {
            return false;
        }
    }
}
