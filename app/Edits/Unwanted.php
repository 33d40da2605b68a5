<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\User;
use Illuminate\Support\Facades\Cache;

/**
 * Changes that take a while to be worked out, such as reading a photo, and are not wanted any more: said from the page while the answer is
 * under way, and asked just before what was found is kept.
 */
final class Unwanted
{
    /** No change is worked at for longer. */
    private const KEPT_SECONDS = 600;

    public static function say(User $user, string $key): void
    {
        Cache::put(self::name($user, $key), true, self::KEPT_SECONDS);
    }

    public static function isSaid(User $user, string $key): bool
    {
        return Cache::get(self::name($user, $key)) === true;
    }

    private static function name(User $user, string $key): string
    {
        return "unwanted/$user->id/$key";
    }
}
