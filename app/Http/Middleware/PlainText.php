<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** All that is written in a request is UTF-8 and has no zero byte: anything else can be neither kept nor answered. */
final class PlainText
{
    public function handle(Request $request, Closure $next): Response
    {
        $inputs = [
            $request->query->all(),
            $request->request->all(),
            $request->isJson() ? $request->json()->all() : [],
            rawurldecode($request->getPathInfo()),
        ];
        array_walk_recursive($inputs, static function (mixed $value, string|int $key): void {
            if (! self::isPlain((string) $key) || (is_string($value) && ! self::isPlain($value))) {
                throw new BadRequestHttpException('The request is not written in UTF-8; type the text once more and send it.');
            }
        });

        return $next($request);
    }

    private static function isPlain(string $text): bool
    {
        return mb_check_encoding($text, 'UTF-8') && ! str_contains($text, "\0");
    }
}
