<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Cache\AccountClock;
use App\Cache\Computed;
use App\Http\KeptAnswers;
use App\Models\User;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response as SymfonyResponse;

/**
 * A page that asks again for what it has already is told so (304), before anything is worked out. What it has is named by the account, how
 * often anything of the account was changed, and since when the application runs; where time itself changes the answer, by the minute too.
 */
final class NothingNew
{
    public function handle(Request $request, Closure $next): SymfonyResponse
    {
        $user = $request->user();
        if (! ($user instanceof User)) {
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
        if (! KeptAnswers::mayBeKept($request->decodedPath())) {
            return $next($request);
        }
        $tag = KeptAnswers::tag(
            $request->getRequestUri(),
            $request->decodedPath(),
            $user->id,
            AccountClock::read($user->id),
            (string) config('app.begun'),
        );
        if (KeptAnswers::isHad((string) $request->headers->get('If-None-Match'), $tag)) {
            return $this->withPass(
                (new Response(status: 304))->setEtag(trim($tag, '"'))->withHeaders(['Cache-Control' => 'private, no-cache']),
                $request,
                $user,
            );
        }
        /** @var SymfonyResponse $response */
        $response = $next($request);
        // The count was read first: what came meanwhile makes the answer newer than its name says, and never older.
        if (
            $response instanceof JsonResponse &&
            $response->getStatusCode() === 200 &&
            ! $response->headers->hasCacheControlDirective('no-store') &&
            ! $response->headers->hasCacheControlDirective('max-age')
        ) {
            $response->setEtag(trim($tag, '"'))->headers->set('Cache-Control', 'private, no-cache');
            KeptAnswers::keep($tag, (string) $response->getContent());
        }

        return $this->withPass($response, $request, $user);
    }

    /** What this account has already is given the next time without all this ({@see KeptAnswers}). */
    private function withPass(SymfonyResponse $response, Request $request, User $user): SymfonyResponse
    {
        [$pass, $until] = KeptAnswers::pass($user->id, $request->session()->getId(), $user->password, (string) config('app.key'));
        $response->headers->setCookie(
            new Cookie(KeptAnswers::PASS, $pass, $until, '/', secure: (bool) config('session.secure'), sameSite: 'lax'),
        );

        return $response;
    }
}
