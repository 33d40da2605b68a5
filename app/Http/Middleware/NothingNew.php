<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Cache\AccountClock;
use App\Cache\Computed;
use App\Models\User;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Response as SymfonyResponse;

/**
 * A page that asks again for what it has already is told so (304), before anything is worked out. What it has is named by the account, how
 * often anything of the account was changed, and since when the application runs; where time itself changes the answer, by the minute too.
 */
final class NothingNew
{
    /** Work under way tells of itself here, past the account's clock. */
    private const NEVER = ['api/studies/*/plan/run', 'api/drawer/imports/*', 'api/book/account', 'api/book/account/imports/*'];

    /** What dries, is due again, or was today. */
    private const BY_THE_MINUTE = ['api/studies/*/desk', 'api/studies/*/desk/*', 'api/studies/*/practice', 'api/studies/*/supply', 'api/book/*'];

    public function handle(Request $request, Closure $next): SymfonyResponse
    {
        $user = $request->user();
        if (! $user instanceof User) {
            return $next($request);
        }
        Computed::for($user->id);
        if (! $request->isMethodSafe()) {
            try {
                return $next($request);
            } finally {
                AccountClock::tick($user->id);
            }
        }
        if (! $request->is('api/*') || $request->is(...self::NEVER)) {
            return $next($request);
        }
        $tag = $this->tag($request, $user);
        // A web server that packs an answer makes its name a weak one.
        if (in_array($tag, array_map(static fn (string $t): string => preg_replace('~^W/~', '', $t) ?? $t, $request->getETags()), true)) {
            return (new Response(status: 304))->setEtag(trim($tag, '"'))->withHeaders(['Cache-Control' => 'private, no-cache']);
        }
        /** @var SymfonyResponse $response */
        $response = $next($request);
        // The count was read first: what came meanwhile makes the answer newer than its name says, and never older.
        if ($response instanceof JsonResponse && $response->getStatusCode() === 200 && ! $response->headers->hasCacheControlDirective('no-store') && ! $response->headers->hasCacheControlDirective('max-age')) {
            $response->setEtag(trim($tag, '"'))->headers->set('Cache-Control', 'private, no-cache');
        }

        return $response;
    }

    private function tag(Request $request, User $user): string
    {
        clearstatcache(true, (string) config('app.begun'));
        $parts = [$request->getRequestUri(), $user->id, AccountClock::read($user->id), @filemtime((string) config('app.begun')), $request->is(...self::BY_THE_MINUTE) ? intdiv(time(), 60) : 0];

        return '"'.hash('xxh128', implode('|', $parts)).'"';
    }
}
