<?php

declare(strict_types=1);

namespace Fruitcake\Cors;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Stands in for fruitcake/php-cors. This application shares nothing with other origins, so every answer is "no":
 * no request counts as a preflight that is allowed, and no header that would let another origin read is ever added.
 */
class CorsService
{
    /** @param array<string, mixed> $options */
    public function __construct(array $options = [])
    {
    }

    /** @param array<string, mixed> $options */
    public function setOptions(array $options): void
    {
    }

    public function isCorsRequest(Request $request): bool
    {
        return $request->headers->has('Origin');
    }

    public function isPreflightRequest(Request $request): bool
    {
        return $request->getMethod() === 'OPTIONS' && $request->headers->has('Access-Control-Request-Method');
    }

    public function handlePreflightRequest(Request $request): Response
    {
        return new Response('', 204);
    }

    public function addActualRequestHeaders(Response $response, Request $request): Response
    {
        return $response;
    }

    public function varyHeader(Response $response, string $header): Response
    {
        $response->setVary($header, false);

        return $response;
    }
}
