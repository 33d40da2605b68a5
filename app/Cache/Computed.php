<?php

declare(strict_types=1);

namespace App\Cache;

use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Context;

/**
 * What was worked out once and is kept by all that it follows from. Nobody's work: where it can't be read or kept (a full disk, a
 * damaged file, a cache that is down), it is worked out again, and whoever asked gets the answer.
 *
 * It lies in a folder of the account that it was worked out for ({@see self::for()}): it counts to what the account keeps, goes when there
 * are newer things to keep, and goes with the account.
 */
final class Computed
{
    /** A store on this machine, for what is large and quickly made again. */
    public const NEAR = 'looks';

    private const ACCOUNT = 'account';

    /** Bytes that an account's folder may hold; past that the oldest go, until a quarter is free. */
    private const MOST_BYTES = 200_000_000;

    /** One of so many that are kept looks how much there is. */
    private const LOOKS_EVERY = 100;

    /** @var array<string, Repository> by folder */
    private static array $stores = [];

    /** From here on, what is worked out is worked out for this account; no log is told. */
    public static function for(int $account): void
    {
        Context::addHidden(self::ACCOUNT, $account);
    }

    /**
     * @template T
     *
     * @param  string  $key  names everything that the value follows from, but for the code
     * @param  \Closure(): T  $work
     * @param  ?string  $store  null for the store that all machines share
     * @return T
     */
    public static function kept(string $key, int $seconds, \Closure $work, ?string $store = self::NEAR): mixed
    {
        $key = Build::whole().'/'.$key;
        /** @var T|null $kept */
        $kept = rescue(static fn (): mixed => self::store($store)->get($key));
        if ($kept !== null) {
            return $kept;
        }
        $value = $work();
        rescue(static fn (): bool => self::store($store)->put($key, $value, $seconds));
        if ($store === self::NEAR && random_int(1, self::LOOKS_EVERY) === 1) {
            $account = self::account();
            rescue(static fn () => KeptFiles::shrink(self::folder($account), self::MOST_BYTES));
        }

        return $value;
    }

    /** Bytes of what is kept near for an account. */
    public static function bytesOf(int $account): int
    {
        return KeptFiles::bytes(self::folder($account));
    }

    /** All that is kept near for an account goes; what is asked for later is worked out again. */
    public static function forget(int $account): void
    {
        KeptFiles::shrink(self::folder($account), 0);
    }

    private static function account(): int
    {
        $account = Context::getHidden(self::ACCOUNT);

        return is_int($account) ? $account : 0;
    }

    private static function folder(int $account): string
    {
        return config('cache.stores.'.self::NEAR.'.path').'/'.$account;
    }

    private static function store(?string $name): Repository
    {
        $config = config('cache.stores.'.self::NEAR);
        if ($name !== self::NEAR || ! is_array($config) || $config['driver'] !== 'file') {
            return Cache::store($name);
        }
        $folder = self::folder(self::account());

        return self::$stores[$folder] ??= Cache::build([...$config, 'path' => $folder]);
    }
}
