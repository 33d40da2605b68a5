<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Accounts\AccountKeeper;
use App\Http\Controllers\Controller;
use App\Http\Middleware\SignInLocalVisitor;
use App\Http\Requests\Account\ChangePasswordRequest;
use App\Http\Requests\Account\ProofRequest;
use App\Quota\Room;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** One's own account: what is in it, its password, where else one is signed in, and its end. */
final class OwnAccountController extends Controller
{
    public function __construct(private readonly AccountKeeper $accounts)
    {
    }

    public function show(Request $request, Room $room): JsonResponse
    {
        $user = $this->user($request);

        return new JsonResponse([
            'name' => $user->name,
            'email' => $user->email,
            'demo' => $user->isDemo(),
            'studies' => $user->studies()->count(),
            'pencils' => $user->pencils()->count(),
            'megabytes' => intdiv($room->taken($user), 1_000_000),
            'mostMegabytes' => intdiv(Room::most(), 1_000_000),
        ]);
    }

    public function password(ChangePasswordRequest $request): Response
    {
        $this->accounts->changePassword($this->user($request), $request->proof(), (string) $request->string('new'));
        $request->session()->regenerate();

        return new Response(status: 204);
    }

    public function elsewhere(ProofRequest $request): Response
    {
        $this->accounts->signOutElsewhere($this->user($request), $request->proof());
        $request->session()->regenerate();

        return new Response(status: 204);
    }

    public function delete(ProofRequest $request): JsonResponse
    {
        $this->accounts->delete($this->user($request), $request->proof());

        return SignInLocalVisitor::leaves($request);
    }
}
