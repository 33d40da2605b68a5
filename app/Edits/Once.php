<?php

declare(strict_types=1);

namespace App\Edits;

use App\Models\User;
use App\Work\NotWanted;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Makes a change once, however often it is sent: a page that got no answer sends it again under the same key. Key and change are
 * written in one transaction; the same change sent at the same time waits for the first to be through.
 */
final class Once
{
    public const HEADER = 'Idempotency-Key';

    /** What a key looks like. */
    public const KEY = '/^[\x21-\x7e]{8,40}$/D';

    /** In the answer: what the change made, so that the next one can say what it stands on. */
    public const MADE = 'Change-Made';

    /** As long as the database keeps it; an address with numbers in it is shorter. */
    private const ROUTE_LENGTH = 200;

    private const ATTRIBUTE = 'made-by-this-change';

    /** Changes may wait on a device this long for an answer and still be known. */
    private const KEPT_DAYS = 120;

    /** A deadlock between two who change the same is no fault of theirs: it is tried again this often. */
    private const ATTEMPTS = 5;

    /** One of so many changes looks for keys that are too old. */
    private const PRUNES_EVERY = 400;

    /**
     * @param  \Closure(): ?int  $change  what it made: the version, or the row
     * @return ?int what was made, now or the first time this address was asked under this key
     *
     * @throws NotWanted where that was said meanwhile; nothing is made then
     * @throws ValidationException when the key was used for another change
     */
    public static function make(Request $request, User $user, \Closure $change): ?int
    {
        $key = self::keyOf($request);
        $route = self::routeOf($request);
        $made = DB::transaction(static function () use ($user, $key, $route, $change): ?int {
            if ($key === null) {
                return $change();
            }
            $row = ['user_id' => $user->id, 'change_key' => $key];
            if (DB::table('made_changes')->insertOrIgnore([...$row, 'route' => $route]) === 0) {
                return self::made(
                    DB::table('made_changes')
                        ->where($row)
                        ->lockForUpdate()
                        ->first(['made', 'route']),
                    $route,
                );
            }
            $made = $change();
            if (Unwanted::isSaid($user, $key)) {
                throw new NotWanted();
            }
            DB::table('made_changes')
                ->where($row)
                ->update(['made' => $made]);

            return $made;
        }, self::ATTEMPTS);
        self::note($made);
        if (random_int(1, self::PRUNES_EVERY) === 1) {
            DB::table('made_changes')->where('created_at', '<', now()->subDays(self::KEPT_DAYS))->limit(5000)->delete();
        }

        return $made;
    }

    /** What a change under this request's key made before; null when it was not made. */
    public static function madeBefore(Request $request, User $user): ?int
    {
        $key = self::keyOf($request);
        $made =
            $key === null
                ? null
                : self::made(
                    DB::table('made_changes')
                        ->where(['user_id' => $user->id, 'change_key' => $key])
                        ->first(['made', 'route']),
                    self::routeOf($request),
                );
        if ($made !== null) {
            self::note($made);
        }

        return $made;
    }

    /** What the change of this request made. */
    public static function madeBy(Request $request): ?int
    {
        $made = $request->attributes->get(self::ATTRIBUTE);

        return is_int($made) ? $made : null;
    }

    /**
     * A number alone names nothing: what one address made is not what another one asks for.
     *
     * @throws ValidationException when the key was used for another change
     */
    private static function made(?object $row, string $route): ?int
    {
        $row = (array) $row;
        if ($row !== [] && $row['route'] !== $route) {
            throw ValidationException::withMessages(['key' => 'This page is out of step; reload it and try again.']);
        }

        return is_numeric($row['made'] ?? null) ? (int) $row['made'] : null;
    }

    private static function routeOf(Request $request): string
    {
        return mb_substr($request->method().' '.$request->path(), 0, self::ROUTE_LENGTH);
    }

    /** On the request that the middleware sees: a form request is a copy of it. */
    private static function note(?int $made): void
    {
        request()->attributes->set(self::ATTRIBUTE, $made);
    }

    /** @throws ValidationException when there is a key that is none */
    private static function keyOf(Request $request): ?string
    {
        $key = $request->header(self::HEADER) ?? $request->input('key');
        if ($key === null) {
            return null;
        }
        if (! is_string($key) || preg_match(self::KEY, $key) !== 1) {
            throw ValidationException::withMessages(['key' => 'The key of a change is 8 to 40 plain letters and digits.']);
        }

        return $key;
    }
}
