<?php

declare(strict_types=1);

namespace App\Http\Controllers\Book;

use App\Accounts\AccountFile;
use App\Accounts\AccountImports;
use App\Edits\Once;
use App\Http\Controllers\Controller;
use App\Http\Requests\Book\AccountFileRequest;
use App\Jobs\TakeInAccount;
use App\Models\AccountImport;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** All of an account, to take along and to bring in elsewhere. */
final class AccountController extends Controller
{
    public function save(Request $request, AccountFile $file): BinaryFileResponse
    {
        return response()
            ->download($file->write($this->user($request)), 'knotty-prism-account.zip', [
                'Content-Type' => 'application/zip',
                'Cache-Control' => 'no-store',
            ])
            ->deleteFileAfterSend();
    }

    /** Kept first, and taken in by a worker. Sent again, it is the same one. */
    public function bringIn(AccountFileRequest $request, AccountImports $imports): JsonResponse
    {
        $user = $this->user($request);
        $id =
            Once::madeBefore($request, $user) ??
            $this->once($request, static fn (): int => self::begun($user, $request->filePath(), $imports)->id);

        return new JsonResponse(self::shown(AccountImport::query()->where('user_id', $user->id)->findOrFail($id), $imports), 202);
    }

    private static function begun(User $user, string $path, AccountImports $imports): AccountImport
    {
        $import = $imports->begin($user, $path);
        TakeInAccount::dispatch($import->id);

        return $import;
    }

    public function latest(Request $request, AccountImports $imports): JsonResponse
    {
        $import = AccountImport::query()->where('user_id', $this->user($request)->id)->latest('id')->first();

        return self::passing(
            new JsonResponse(['import' => $import === null ? null : self::shown($import, $imports)]),
            $import?->state->isUnderWay() === true,
        );
    }

    public function import(AccountImport $accountImport, AccountImports $imports): JsonResponse
    {
        return self::passing(new JsonResponse(self::shown($accountImport, $imports)), $accountImport->state->isUnderWay());
    }

    public function cancel(AccountImport $accountImport, AccountImports $imports): JsonResponse
    {
        $imports->cancel($accountImport);

        return new JsonResponse(self::shown($accountImport->refresh(), $imports));
    }

    /** @return array<string, mixed> */
    private static function shown(AccountImport $import, AccountImports $imports): array
    {
        return [
            'id' => $import->id,
            'state' => $import->state->value,
            'done' => $imports->done($import),
            'total' => $import->total,
            'taken' => $import->taken,
            'problem' => $import->problem,
        ];
    }
}
