<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Hosts;
use App\Http\KeptAnswers;
use App\Models\User;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;

/**
 * In demo mode, someone at this very machine works in the demo account without signing in. A request that came through a proxy
 * is not local, whatever its last hop; nor is one that does not name this machine's loopback, or that a page of another host
 * sent; and nobody is, where a name was set under which this is reached from elsewhere. Who signed out on purpose stays out.
 *
 * Only opening a page, or a first request without any session, signs in. A request that was on its way while its session ended brings
 * the ended one's cookie; it is turned away, or it would sign in whoever has just signed out.
 */
final class SignInLocalVisitor
{
    public const STAYS_OUT = 'stays_out';

    private const PROXY_HEADERS = ['Forwarded', 'X-Forwarded-For', 'X-Real-IP', 'Via'];

    public function handle(Request $request, Closure $next): Response
    {
        if (config('app.demo') === true && Auth::guest() && $this->isLocal($request) && $this->mayEnter($request)) {
            $user = User::query()->where('email', config('app.demo_email'))->first();
            if ($user !== null) {
                Auth::login($user);
            }
        }

        return $next($request);
    }

    /** Whoever signs out on purpose, or ends the account, stays out; nothing of what was answered stays in the browser. */
    public static function leaves(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
        $request->session()->put(self::STAYS_OUT, true);

        // In a cookie as well: an answer that was on its way may put another session in the place of this one.
        return (new JsonResponse(null, 204))
            ->withCookie(cookie(self::STAYS_OUT, '1'))
            ->withoutCookie(KeptAnswers::PASS)
            ->header('Clear-Site-Data', '"cache"');
    }

    private function mayEnter(Request $request): bool
    {
        $opens = ! $request->is('api/*') || ! $request->hasCookie((string) config('session.cookie'));

        return $opens && ! $request->session()->has(self::STAYS_OUT) && ! $request->hasCookie(self::STAYS_OUT);
    }

    private function isLocal(Request $request): bool
    {
        foreach (self::PROXY_HEADERS as $header) {
            if ($request->headers->has($header)) {
                return false;
            }
        }

        // A picture in a page of another host asks without saying from where; a link that was followed only opens a page.
        if ($request->headers->get('Sec-Fetch-Site') === 'cross-site' && $request->headers->get('Sec-Fetch-Mode') !== 'navigate') {
            return false;
        }

        foreach (['Host', 'Origin', 'Referer'] as $header) {
            $names = $request->headers->get($header);
            if ($names !== null && ! Hosts::isLoopback(Hosts::nameIn($names))) {
                return false;
            }
        }
        // Browsers speak HTTP/1.1 at least; what passes requests on with nothing added often speaks 1.0.
        if (config('app.host') !== null || $request->server->get('SERVER_PROTOCOL') === 'HTTP/1.0') {
            return false;
        }

        return IpUtils::checkIp((string) $request->server->get('REMOTE_ADDR'), ['127.0.0.0/8', '::1']);
    }
}
