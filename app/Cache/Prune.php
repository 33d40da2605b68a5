<?php

declare(strict_types=1);

namespace App\Cache;

use Illuminate\Support\Facades\DB;

/** What was worked out once and is not asked for any more goes: the stores themselves forget only what is looked at. */
final class Prune
{
    /** Nothing is kept longer than seven days; a day more, so that nothing goes while it may still be read. */
    private const OLDER_THAN_SECONDS = 8 * 24 * 3600;

    /** @return int how many files and rows went */
    public static function now(): int
    {
        $removed = 0;
        foreach ((array) config('cache.stores') as $store) {
            if (is_array($store) && ($store['driver'] ?? '') === 'file' && is_string($store['path'] ?? null) && is_dir($store['path'])) {
                $removed += KeptFiles::removeOlder($store['path'], self::OLDER_THAN_SECONDS);
            }
        }

        return $removed + DB::table('cache')->where('expiration', '<', time())->limit(50_000)->delete();
    }
}
