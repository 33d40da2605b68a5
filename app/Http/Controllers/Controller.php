<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Edits\Once;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

abstract class Controller
{
    /** Routes behind sign-in always have someone. */
    protected function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new \LogicException('this route is only for people signed in');
    }

    /**
     * Makes the change that a request asks for, once however often it is sent.
     *
     * @param  \Closure(): ?int  $change  what it made
     */
    protected function once(Request $request, \Closure $change): ?int
    {
        return Once::make($request, $this->user($request), $change);
    }

    /** Work under way tells of itself past the account's clock: its answers are good once. */
    protected static function passing(JsonResponse $answer, bool $isUnderWay): JsonResponse
    {
        return $isUnderWay ? $answer->header('Cache-Control', 'no-store') : $answer;
    }
}
