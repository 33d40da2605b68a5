<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Hosts;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Answers under the names of this machine's loopback, and under the one name that was set for it (APP_HOST), and under no other: a page
 * from elsewhere can make its own name lead here, and would be taken for someone at this machine. Redirects name no host at all.
 */
final class KnownHost
{
    private const MISDIRECTED = 421;

    public function handle(Request $request, Closure $next): Response
    {
        $host = Hosts::nameIn((string) $request->headers->get('Host'));
        if (! Hosts::isLoopback($host) && ($host === '' || $host !== config('app.host'))) {
            throw new HttpException(self::MISDIRECTED, 'This address does not lead here.');
        }
        /** @var Response $response */
        $response = $next($request);
        $to = $response->headers->get('Location');
        if ($to !== null && str_starts_with($to, $request->getSchemeAndHttpHost())) {
            $path = substr($to, strlen($request->getSchemeAndHttpHost()));
            $response->headers->set('Location', $path === '' ? '/' : $path);
        }

        return $response;
    }
}
