<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
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

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        config()->set('session.expire_on_close', $session->get(self::PASSING) === true);
        parent::addCookieToResponse($response, $session);
    }
}
