<?php

declare(strict_types=1);

use App\Http\KeptAnswers;
use App\Http\Middleware\CsrfByHeader;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\NothingNew;
use App\Http\Middleware\PlainText;
use App\Http\Middleware\SaysWhatWasMade;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SignInLocalVisitor;
use App\Http\Middleware\StartsSession;
use App\Http\ProblemDetails;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;

// Secrets, photos and logs live in one folder an instance, so that the tests' instance stays apart from the user's.
$var = getenv('KP_VAR') ?: dirname(__DIR__).'/var/app';

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend([KnownHost::class, PlainText::class]);
        $middleware->append(SecurityHeaders::class);
        $middleware->web(
            append: [SignInLocalVisitor::class, SaysWhatWasMade::class, NothingNew::class],
            replace: [ValidateCsrfToken::class => CsrfByHeader::class, StartSession::class => StartsSession::class],
        );
        // Before anything asks who is signed in.
        $middleware->prependToPriorityList(AuthenticatesRequests::class, SignInLocalVisitor::class);
        // Hashed again, a password ends what is signed in elsewhere, wherever sessions lie.
        $middleware->authenticateSessions();
        // Sealed by itself, and read where there is no framework yet.
        $middleware->encryptCookies(except: [KeptAnswers::PASS]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        ProblemDetails::register($exceptions);
    })
    ->create()
    ->useEnvironmentPath($var)
    ->useStoragePath($var.'/storage');
