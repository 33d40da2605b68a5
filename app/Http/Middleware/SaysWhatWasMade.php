<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Edits\Once;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The answer to a change names what it made, the first time and every time it is sent again. */
final class SaysWhatWasMade
{
    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $made = Once::madeBy($request);
        if ($made !== null) {
            $response->headers->set(Once::MADE, (string) $made);
        }

        return $response;
    }
}
