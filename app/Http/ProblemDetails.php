<?php

declare(strict_types=1);

namespace App\Http;

use App\History\ChangedElsewhere;
use App\Photos\FullDisk;
use App\Photos\Originals;
use App\Work\NotWanted;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\CoreError;
use Symfony\Component\HttpFoundation\Response as SymfonyResponse;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Every refusal leaves as problem details (RFC 9457), made in this one place: a plain sentence that names the cure. */
final class ProblemDetails
{
    private const FULL = 'The disk of this machine is full, so nothing can be kept there. Make room; what waits on this device is then '
        .'sent by itself.';

    /** MariaDB: lock wait timeout, deadlock. */
    private const CONTENDED = [1205, 1213];

    /** MariaDB: too many connections, shutting down, and no server at the start or in the middle of a question. */
    private const AWAY = [1040, 1053, 2002, 2006, 2013];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([CoreError::class, ChangedElsewhere::class, NotWanted::class]);
        $exceptions->report(self::withoutValues(...));
        $exceptions->render(
            static fn (\Throwable $error, Request $request): ?SymfonyResponse => match (true) {
                $request->is('api/*') || $request->expectsJson() => self::of($error),
                // The page that the web server shows in our place, too: it waits and goes on by itself.
                $error instanceof QueryException && in_array(self::codeOf($error), self::AWAY, true) => new Response(
                    (string) file_get_contents(public_path('away/page.html')),
                    503,
                    ['Retry-After' => '2', 'Cache-Control' => 'no-store'],
                ),
                default => null,
            },
        );
    }

    /**
     * What a question to the database held (names of sessions, whole requests) is nobody's business in a log: told are the question and the
     * fault's number.
     */
    private static function withoutValues(QueryException $error): bool
    {
        Log::error(
            sprintf(
                'The database: SQLSTATE %s, fault %s, at "%s"',
                $error->errorInfo[0] ?? $error->getCode(),
                $error->errorInfo[1] ?? '?',
                mb_strimwidth($error->getSql(), 0, 500, '…'),
            ),
        );

        return false;
    }

    private static function of(\Throwable $error): JsonResponse
    {
        return match (true) {
            $error instanceof ValidationException => self::answer(
                422,
                'Something in the form is not right',
                (string) collect($error->errors())->flatten()->first(),
                ['errors' => $error->errors()],
            ),
            $error instanceof BadFile => self::answer(422, 'The file can not be used', $error->getMessage(), [
                'problems' => $error->problems,
            ]),
            $error instanceof BadPhoto => self::answer(422, 'The photo can not be read', $error->getMessage(), [
                'reason' => $error->reason,
            ]),
            $error instanceof ChangedElsewhere => self::answer(409, 'Changed elsewhere meanwhile', $error->getMessage()),
            $error instanceof NotWanted => self::answer(
                409,
                'Not wanted any more',
                'It was cancelled while it was worked out; nothing was kept.',
            ),
            $error instanceof CoreError => self::answer(422, 'That is outside what the model knows', $error->getMessage()),
            $error instanceof AuthenticationException => self::answer(401, 'Not signed in', 'Sign in and try again; nothing is lost.'),
            $error instanceof TokenMismatchException => self::answer(
                419,
                'The page is out of date',
                'Reload the page and try again; nothing is lost.',
            ),
            $error instanceof PostTooLargeException => self::answer(
                413,
                'The file is too large',
                'A photo may be up to 60 MB, a study file up to 150 MB; save a smaller copy and try again.',
            ),
            $error instanceof CannotBeShown => self::answer(422, 'This can not be shown', $error->getMessage(), [
                'type' => CannotBeShown::TYPE,
            ]),
            $error instanceof HttpExceptionInterface => self::ofStatus($error),
            FullDisk::isSaidBy($error) => self::answer(507, 'The disk is full', self::FULL),
            $error instanceof QueryException && in_array(self::codeOf($error), self::CONTENDED, true) => self::answer(
                503,
                'Busy just now',
                'The same is being changed from elsewhere; it is tried again by itself.',
            ),
            $error instanceof QueryException && in_array(self::codeOf($error), self::AWAY, true) => self::answer(
                503,
                'The database does not answer',
                'It does not answer just now; what is changed is kept on this device and sent by itself when it is back.',
            ),
            Originals::areAway($error) => self::answer(
                503,
                'The photos do not answer',
                'The place that keeps photos does not answer just now; what is changed is kept on this device and sent by itself when it '
                    .'is back.',
            ),
            default => self::answer(
                500,
                'Something went wrong here',
                'It has been written to the log. Try again; what you made before is safe.',
            ),
        };
    }

    private static function codeOf(QueryException $error): mixed
    {
        return $error->errorInfo[1] ?? $error->getCode();
    }

    private static function ofStatus(HttpExceptionInterface $error): JsonResponse
    {
        $status = $error->getStatusCode();
        [$title, $detail] = match ($status) {
            403, 404 => ['Not found', 'There is nothing here under this address, or it is not yours.'],
            400 => ['The request can not be read', $error->getMessage() ?: 'Reload the page and try again.'],
            413 => ['The file is too large', 'A photo may be up to 60 MB, a study file up to 150 MB; save a smaller copy and try again.'],
            419 => ['The page is out of date', 'Reload the page and try again; nothing is lost.'],
            421 => [
                'This address does not lead here',
                'Open the address that ./start prints, or set APP_HOST to the name under which this is reached.',
            ],
            425 => ['This page is from before an update', 'Reload the page; what waits on this device is then sent by itself.'],
            429 => [
                'Too many at once',
                $error instanceof TooManyRequestsHttpException &&
                $error->getMessage() !== '' &&
                ! ($error instanceof ThrottleRequestsException)
                    ? $error->getMessage()
                    : 'Wait a minute and try again.',
            ],
            503 => ['Busy just now', $error->getMessage() ?: 'Try again in a moment.'],
            default => ['The request failed', 'Reload the page and try again.'],
        };

        return self::answer($status, $title, $detail)->withHeaders($error->getHeaders());
    }

    /** @param  array<string, mixed>  $more */
    private static function answer(int $status, string $title, string $detail, array $more = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail, ...$more],
            $status,
            ['Content-Type' => 'application/problem+json'],
        );
    }
}
