<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\AccountKeeper;
use App\Http\Middleware\SignInLocalVisitor;
use App\Http\Middleware\StartsSession;
use App\Http\Requests\RegisterRequest;
use App\Http\Requests\SignInRequest;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Signing in and out, and opening an account. */
final class SessionController extends Controller
{
    public function signIn(SignInRequest $request, AccountKeeper $accounts): JsonResponse
    {
        if (! $accounts->signsIn((string) $request->string('email'), (string) $request->string('password'), $request->boolean('stays'))) {
            throw ValidationException::withMessages([
                'email' => 'The e-mail address or the password is wrong; check both and try again.',
            ]);
        }
        $request->session()->regenerate();
        $request->session()->put(StartsSession::PASSING, ! $request->boolean('stays'));

        return (new JsonResponse(['name' => $request->user()?->name]))->withoutCookie(SignInLocalVisitor::STAYS_OUT);
    }

    public function register(RegisterRequest $request): JsonResponse
    {
        $user = User::query()->create(Arr::only($request->validated(), ['name', 'email', 'password']));
        // As after signing in: an answer that was on its way may put another session in the place of this one.
        Auth::login($user, remember: $request->boolean('stays'));
        $request->session()->regenerate();
        $request->session()->put(StartsSession::PASSING, ! $request->boolean('stays'));

        return (new JsonResponse(['name' => $user->name], 201))->withoutCookie(SignInLocalVisitor::STAYS_OUT);
    }

    public function signOut(Request $request): JsonResponse
    {
        return SignInLocalVisitor::leaves($request);
    }

    public function me(Request $request): JsonResponse
    {
        $user = $this->user($request);

        return new JsonResponse(['name' => $user->name, 'email' => $user->email, 'demo' => $user->isDemo()]);
    }
}
