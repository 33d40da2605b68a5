<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Photos\FullDisk;
use App\Work\Pulse;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Whether everything an answer needs is there: the just-in-time compiler, the database, the queue worker, the storage and room on its disk. */
final class HealthController extends Controller
{
    public function __invoke(): JsonResponse
    {
        // Photos may lie on a disk of their own.
        $free = min(FullDisk::freeBytes(storage_path()) ?? PHP_INT_MAX, FullDisk::freeBytes(storage_path('app/private')) ?? PHP_INT_MAX);
        $checks = [
            'jit' => self::holds(static fn (): bool => (opcache_get_status(false)['jit']['on'] ?? false) === true),
            'database' => self::holds(static fn (): bool => DB::scalar('select 1') === 1),
            'queueWorker' => Pulse::isHeard(),
            'storage' => self::holds(self::storageKeeps(...)),
            'diskSpace' => $free >= FullDisk::LEAST_FREE_BYTES,
        ];
        $ok = ! in_array(false, $checks, true);

        return new JsonResponse(['ok' => $ok, ...$checks, 'freeMegabytes' => intdiv($free, 1_000_000), 'php' => PHP_VERSION], $ok ? 200 : 503, ['Cache-Control' => 'no-store']);
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
