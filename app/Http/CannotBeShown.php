<?php

declare(strict_types=1);

namespace App\Http;

use App\Photos\FullDisk;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use KnottyPrism\Core\Error\CoreError;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/**
 * Something of a study can't be shown as it is kept. What was asked for may have been done all the same; the page offers what can be done
 * without seeing it: taking the last change back, saving the study as a file, deleting it.
 */
final class CannotBeShown extends \RuntimeException
{
    /** In problem details, for the page to know it by. */
    public const TYPE = 'cannot-be-shown';

    /** @param  \Closure(): array<string, mixed>  $present */
    public static function orAnswer(\Closure $present, int $status = 200): JsonResponse
    {
        try {
            return new JsonResponse($present(), $status);
        } catch (HttpExceptionInterface|QueryException $error) {
            throw $error;
        } catch (\Throwable $error) {
            if (FullDisk::isSaidBy($error)) {
                throw $error;
            }
            $why = $error instanceof CoreError ? $error->getMessage() : 'Some of its data is damaged.';

            throw new self(
                "This study can’t be shown. $why Undo the last change, or save the study as a file.",
                previous: $error,
            );
        }
    }
}
