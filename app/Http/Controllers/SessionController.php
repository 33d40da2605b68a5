<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\SignInLocalVisitor;
use App\Http\Requests\RegisterRequest;
use App\Http\Requests\SignInRequest;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Signing in and out, and opening an account. */
final class SessionController extends Controller
{
    public function signIn(SignInRequest $request): JsonResponse
    {
        if (! Auth::attempt($request->only(['email', 'password']), remember: true)) {
            throw ValidationException::withMessages(['email' => 'This address and password do not belong together; check both and try again.']);
        }
        $request->session()->regenerate();

        return (new JsonResponse(['name' => $request->user()?->name]))->withoutCookie(SignInLocalVisitor::STAYS_OUT);
    }

    public function register(RegisterRequest $request): JsonResponse
    {
        $user = User::query()->create($request->validated());
        // As after signing in: an answer that was on its way may put another session in the place of this one.
        Auth::login($user, remember: true);
        $request->session()->regenerate();

        return (new JsonResponse(['name' => $user->name], 201))->withoutCookie(SignInLocalVisitor::STAYS_OUT);
    }

    public function signOut(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
        $request->session()->put(SignInLocalVisitor::STAYS_OUT, true);

        // In a cookie as well: an answer that was on its way may put another session in the place of this one.
        return (new JsonResponse(null, 204))->withCookie(cookie(SignInLocalVisitor::STAYS_OUT, '1'));
    }

    public function me(Request $request): JsonResponse
    {
        $user = $this->user($request);

        return new JsonResponse(['name' => $user->name, 'email' => $user->email, 'demo' => $user->email === config('app.demo_email')]);
    }
}
