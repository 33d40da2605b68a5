<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Database\NamedLock;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * What takes long to work out is worked out for an account two at a time, with four more waiting: so many as it asks for, others come to
 * their turn. These requests have processes of their own besides (ops/php-fpm.conf.in), so that nothing quick ever waits for them. The
 * database frees what a process held that died.
 */
final class FairTurn
{
    private const AT_ONCE = 2;

    /** So many more wait, as many as a browser asks for at once; and how long they do, seconds, holding a process. */
    private const WAITING = 4;

    private const WAITS = 20;

    private const AGAIN_SECONDS = 1;

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $of = 'kp-turn-'.($user instanceof User ? $user->id : md5((string) $request->ip()));
        $held =
            self::first($of) ??
            (self::waited($of) ??
                throw new TooManyRequestsHttpException(
                    self::AGAIN_SECONDS,
                    'Several of your pictures are being calculated; this one follows in a moment.',
                ));
        try {
            return $next($request);
        } finally {
            rescue(static fn () => NamedLock::release($held));
        }
    }

    private static function first(string $of): ?string
    {
        foreach (range(1, self::AT_ONCE) as $slot) {
            if (NamedLock::take("$of-$slot", 0)) {
                return "$of-$slot";
            }
        }

        return null;
    }

    private static function waited(string $of): ?string
    {
        foreach (range(1, self::WAITING) as $place) {
            if (! NamedLock::take("$of-waits-$place", 0)) {
                continue;
            }
            try {
                $slot = "$of-".(1 + ($place % self::AT_ONCE));

                return NamedLock::take($slot, self::WAITS) ? $slot : null;
            } finally {
                NamedLock::release("$of-waits-$place");
            }
        }

        return null;
    }
}
