<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Every refusal leaves as problem details (RFC 9457), made in this one place: a plain sentence that names the cure. */
final class ProblemDetails
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([CoreError::class]);
        $exceptions->render(function (\Throwable $error, Request $request): ?JsonResponse {
            return $request->is('api/*') || $request->expectsJson() ? self::of($error) : null;
        });
    }

    private static function of(\Throwable $error): JsonResponse
    {
        return match (true) {
            $error instanceof ValidationException => self::answer(422, 'Something in the form is not right', (string) collect($error->errors())->flatten()->first(), ['errors' => $error->errors()]),
            $error instanceof BadFile => self::answer(422, 'The file can not be used', $error->getMessage(), ['problems' => $error->problems]),
            $error instanceof CoreError => self::answer(422, 'That is outside what the model knows', $error->getMessage()),
            $error instanceof AuthenticationException => self::answer(401, 'Not signed in', 'Sign in and try again; nothing is lost.'),
            $error instanceof TokenMismatchException => self::answer(419, 'The page is out of date', 'Reload the page and try again; nothing is lost.'),
            $error instanceof PostTooLargeException => self::answer(413, 'The file is too large', 'A photo may be up to 60 MB, a study file up to 150 MB; save a smaller copy and try again.'),
            $error instanceof HttpExceptionInterface => self::ofStatus($error->getStatusCode()),
            default => self::answer(500, 'Something went wrong here', 'It has been written to the log. Try again; what you made before is safe.'),
        };
    }

    private static function ofStatus(int $status): JsonResponse
    {
        [$title, $detail] = match ($status) {
            403, 404 => ['Not found', 'There is nothing here under this address, or it is not yours.'],
            413 => ['The file is too large', 'A photo may be up to 60 MB, a study file up to 150 MB; save a smaller copy and try again.'],
            419 => ['The page is out of date', 'Reload the page and try again; nothing is lost.'],
            429 => ['Too many tries', 'Wait a minute and try again.'],
            default => ['The request failed', 'Reload the page and try again.'],
        };

        return self::answer($status, $title, $detail);
    }

    /** @param  array<string, mixed>  $more */
    private static function answer(int $status, string $title, string $detail, array $more = []): JsonResponse
    {
        return new JsonResponse(['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail, ...$more], $status, ['Content-Type' => 'application/problem+json']);
    }
}
