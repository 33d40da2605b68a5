<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Answers under the names of this machine's loopback, and under the one name that was set for it (APP_HOST), and under no other: a page
 * from elsewhere can make its own name lead here, and would be taken for someone at this machine. Redirects name no host at all.
 */
final class KnownHost
{
    public const LOOPBACK = ['localhost', '127.0.0.0/8', '::1'];

    private const MISDIRECTED = 421;

    public function handle(Request $request, Closure $next): Response
    {
        $host = self::hostOf((string) $request->headers->get('Host'));
        if (! self::isLoopback($host) && ($host === '' || $host !== config('app.host'))) {
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

    /** The name or address alone, in small letters; of an address in an URL as well. */
    public static function hostOf(string $text): string
    {
        $authority = preg_match('~^[a-z]+://([^/]*)~i', $text, $match) === 1 ? $match[1] : $text;

        return trim(mb_strtolower((string) preg_replace('/:\d*$/', '', $authority)), '[]');
    }

    public static function isLoopback(string $host): bool
    {
        return $host === 'localhost' || (filter_var($host, FILTER_VALIDATE_IP) !== false && IpUtils::checkIp($host, ['127.0.0.0/8', '::1']));
    }
}
