<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Sessions that last as long as somebody wished when they signed in. */
final class StartsSession extends StartSession
{
    /** Set in a session that ends with the browser. */
    public const PASSING = 'passing';

    /** Nobody is ever sent back to the address before: to note it would write every session with every request. */
    protected function storeCurrentUrl(Request $request, $session): void
    {
    }

    /** Where somebody may come to sign in, or to leave a note: the page's token has to be known again. */
    private const FOR_STRANGERS = ['sign-in', 'accounts', 'shared/*', 'api/shared/*'];

    /**
     * Whoever comes without a session and is not signed in leaves none behind: a script that asks a million times, or a page that is only
     * sent on.
     */
    private static function leavesNone(Request $request): bool
    {
        return ! $request->hasCookie((string) config('session.cookie')) &&
            ! $request->is(...self::FOR_STRANGERS) &&
            Auth::guest() &&
            ! $request->session()->has(SignInLocalVisitor::STAYS_OUT);
    }

    protected function saveSession($request): void
    {
        if (! self::leavesNone($request)) {
            parent::saveSession($request);
        }
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (self::leavesNone(request())) {
            return;
        }
        config()->set('session.expire_on_close', $session->get(self::PASSING) === true);
        parent::addCookieToResponse($response, $session);
    }
}
