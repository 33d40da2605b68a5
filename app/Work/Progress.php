<?php

declare(strict_types=1);

namespace App\Work;

use Illuminate\Support\Facades\DB;

/**
 * How far work is that is done in one transaction, told past it: by a connection of its own, in a table that nothing else locks. Where it
 * can't be told the work goes on all the same.
 */
final class Progress
{
    private const CONNECTION = 'apart';

    private const TABLE = 'progress';

    public static function tell(string $what, int $done): void
    {
        rescue(
            static fn (): int => DB::connection(self::CONNECTION)
                ->table(self::TABLE)
                ->upsert([['what' => $what, 'done' => $done, 'told_at' => now()]], ['what'], ['done', 'told_at']),
        );
    }

    /** Null when nothing was told. */
    public static function of(string $what): ?int
    {
        $done = DB::connection(self::CONNECTION)->table(self::TABLE)->where('what', $what)->value('done');

        return is_numeric($done) ? (int) $done : null;
    }

    public static function forget(string $what): void
    {
        rescue(
            static fn (): int => DB::connection(self::CONNECTION)
                ->table(self::TABLE)
                ->where('what', $what)
                ->orWhere('told_at', '<', now()->subDay())
                ->delete(),
        );
    }
}
