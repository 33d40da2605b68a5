<?php

declare(strict_types=1);

namespace App\Http\Controllers\Book;

use App\Book\AccountFile;
use App\Book\AccountReader;
use App\Edits\Once;
use App\Http\Controllers\Controller;
use App\Http\Requests\Book\AccountFileRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** All of an account, to take along and to bring in elsewhere. */
final class AccountController extends Controller
{
    public function save(Request $request, AccountFile $file): BinaryFileResponse
    {
        return response()->download($file->write($this->user($request)), 'knotty-prism-account.zip', ['Content-Type' => 'application/zip', 'Cache-Control' => 'no-store'])->deleteFileAfterSend();
    }

    public function bringIn(AccountFileRequest $request, AccountReader $reader): JsonResponse
    {
        $user = $this->user($request);
        if (Once::madeBefore($request, $user) !== null) {
            return new JsonResponse(['pencils' => 0, 'studies' => 0, 'recipes' => 0, 'practice' => 0, 'problems' => []], 201);
        }
        $taken = $reader->read($user, $request->filePath());
        $this->once($request, static fn (): int => $user->id);

        return new JsonResponse($taken, 201);
    }
}
