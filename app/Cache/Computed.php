<?php

declare(strict_types=1);

namespace App\Cache;

use Illuminate\Support\Facades\Cache;

/**
 * What was worked out once and is kept by all that it follows from. Nobody's work: where it can't be read or kept (a full disk, a
 * damaged file, a cache that is down), it is worked out again, and whoever asked gets the answer.
 */
final class Computed
{
    /** A store on this machine, for what is large and quickly made anew. */
    public const NEAR = 'looks';

    /**
     * @template T
     *
     * @param  string  $key  names everything that the value follows from
     * @param  \Closure(): T  $work
     * @param  ?string  $store  nothing for the store that all machines share
     * @return T
     */
    public static function kept(string $key, int $seconds, \Closure $work, ?string $store = self::NEAR): mixed
    {
        /** @var T|null $kept */
        $kept = rescue(static fn (): mixed => Cache::store($store)->get($key));
        if ($kept !== null) {
            return $kept;
        }
        $value = $work();
        rescue(static fn (): bool => Cache::store($store)->put($key, $value, $seconds));

        return $value;
    }
}
