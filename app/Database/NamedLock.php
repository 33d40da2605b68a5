<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;

/** Locks by name, of this database: whoever holds one and dies has let go of it, as the connection ends. */
final class NamedLock
{
    /** @param  int  $seconds  that it is waited for */
    public static function take(string $name, int $seconds = 0): bool
    {
        return (int) DB::scalar('select get_lock(?, ?)', [self::here($name), $seconds]) === 1;
    }

    public static function release(string $name): void
    {
        DB::scalar('select release_lock(?)', [self::here($name)]);
    }

    private static function here(string $name): string
    {
        return substr(md5(DB::getDatabaseName()), 0, 12).$name;
    }
}
