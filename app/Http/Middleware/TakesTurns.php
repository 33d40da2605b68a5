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
 * Files that take long to read come in one at a time an account, and only so many of all accounts together, so that there is always
 * someone to answer the others. Who has to wait is told at once and comes again: waiting here would hold a process too. The database
 * frees what a process held that died.
 */
final class TakesTurns
{
    /** Half of the processes that answer (ops/php-fpm.conf.in). */
    private const AT_ONCE = 3;

    private const AGAIN_SECONDS = 2;

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $own = 'kp-files-of-'.($user instanceof User ? $user->id : 'nobody');
        $held = NamedLock::take($own)
            ? [$own]
            : throw self::later('Another of your files is being read; this one follows automatically, or try again in a moment.');
        try {
            foreach (range(1, self::AT_ONCE) as $slot) {
                if (NamedLock::take("kp-files-$slot")) {
                    $held[] = "kp-files-$slot";

                    return $next($request);
                }
            }

            throw self::later('Many files are being read at the moment; this one follows automatically, or try again in a moment.');
        } finally {
            array_map(static fn (string $name): mixed => rescue(static fn () => NamedLock::release($name)), $held);
        }
    }

    private static function later(string $why): TooManyRequestsHttpException
    {
        return new TooManyRequestsHttpException(self::AGAIN_SECONDS, $why);
    }
}
