<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Edits\Unwanted;
use App\Http\Controllers\Controller;
use App\Http\Requests\Account\UnwantedRequest;
use Illuminate\Http\Response;

/** What is still being worked out for somebody, and is not wanted any more. */
final class UnwantedController extends Controller
{
    public function __invoke(UnwantedRequest $request): Response
    {
        Unwanted::say($this->user($request), $request->string('key')->toString());

        return new Response(status: 204);
    }
}
