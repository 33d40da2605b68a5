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
    private const FULL = 'The disk of this computer is full, so nothing can be saved. Free some space; changes waiting on this device '
        .'are then sent automatically.';

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
                'Please check the form',
                (string) collect($error->errors())->flatten()->first(),
                ['errors' => $error->errors()],
            ),
            $error instanceof BadFile => self::answer(422, 'The file can’t be used', $error->getMessage(), [
                'problems' => $error->problems,
            ]),
            $error instanceof BadPhoto => self::answer(422, 'The photo can’t be read', $error->getMessage(), [
                'reason' => $error->reason,
            ]),
            $error instanceof ChangedElsewhere => self::answer(409, 'Changed on another device', $error->getMessage()),
            $error instanceof NotWanted => self::answer(
                409,
                'Cancelled',
                'It was cancelled; nothing was saved.',
            ),
            $error instanceof CoreError => self::answer(422, 'Outside the range of the model', $error->getMessage()),
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
            $error instanceof CannotBeShown => self::answer(422, 'This can’t be shown', $error->getMessage(), [
                'type' => CannotBeShown::TYPE,
            ]),
            $error instanceof HttpExceptionInterface => self::ofStatus($error),
            FullDisk::isSaidBy($error) => self::answer(507, 'The disk is full', self::FULL),
            $error instanceof QueryException && in_array(self::codeOf($error), self::CONTENDED, true) => self::answer(
                503,
                'Busy',
                'The same data is being changed on another device; this is tried again automatically.',
            ),
            $error instanceof QueryException && in_array(self::codeOf($error), self::AWAY, true) => self::answer(
                503,
                'The database does not answer',
                'It does not answer at the moment; changes are saved on this device and sent when it is back.',
            ),
            Originals::areAway($error) => self::answer(
                503,
                'The photos do not answer',
                'The photo storage does not answer at the moment; changes are saved on this device and sent when it '
                    .'is back.',
            ),
            default => self::answer(
                500,
                'Something went wrong here',
                'Try again; your earlier work is safe. Details are in the log.',
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
            403, 404 => ['Not found', 'Nothing was found at this address, or it belongs to another account.'],
            400 => ['The request can’t be read', $error->getMessage() ?: 'Reload the page and try again.'],
            413 => ['The file is too large', 'A photo may be up to 60 MB, a study file up to 150 MB; save a smaller copy and try again.'],
            419 => ['The page is out of date', 'Reload the page and try again; nothing is lost.'],
            421 => [
                'This address does not lead here',
                'Open the address that ./start prints, or set APP_HOST to the name under which this is reached.',
            ],
            425 => ['This page is from before an update', 'Reload the page; what waits on this device is then sent automatically.'],
            429 => [
                'Too many at once',
                $error instanceof TooManyRequestsHttpException &&
                $error->getMessage() !== '' &&
                ! ($error instanceof ThrottleRequestsException)
                    ? $error->getMessage()
                    : 'Wait a minute and try again.',
            ],
            503 => ['Busy', $error->getMessage() ?: 'Try again in a moment.'],
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
