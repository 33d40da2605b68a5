<?php

declare(strict_types=1);

use App\Http\Controllers\Book\SharedController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\SessionController;
use App\Http\Middleware\FairTurn;
use App\Http\Middleware\SignInLocalVisitor;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Route;

// Without a session: it answers when the database does not.
Route::get('/health', HealthController::class)->withoutMiddleware('web');

// Whoever has the link of a plan looks on, signed in or not; nobody is signed in by it.
Route::withoutMiddleware(SignInLocalVisitor::class)
    ->where(['token' => '[A-Za-z0-9]{48}'])
    ->middleware('throttle:heavy')
    ->group(function (): void {
        Route::get('/shared/{token}', PageController::class);
        Route::prefix('/api/shared/{token}')
            ->controller(SharedController::class)
            ->group(function (): void {
                Route::get('/', 'show');
                Route::get('/photos/{photo}', 'photo');
                Route::get('/drawn', 'drawn')->middleware(FairTurn::class);
                Route::post('/note', 'note');
            });
    });

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', PageController::class)->name('login');
    Route::post('/sign-in', [SessionController::class, 'signIn'])->middleware('throttle:sign-in');
    Route::post('/accounts', [SessionController::class, 'register'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    // Asked by the web server before it takes a file in (ops/nginx.conf.in).
    Route::get('/door', static fn (): Response => new Response(status: 204));
    Route::get('/', PageController::class);
    Route::get('/drawer', PageController::class);
    Route::get('/plan/{study?}', PageController::class);
    Route::get('/desk/{study?}', PageController::class);
    Route::get('/book/{study?}', PageController::class);
    Route::get('/photo/{study?}', PageController::class);
    Route::get('/account', PageController::class);
    if (config('app.env') !== 'production') {
        Route::get('/controls', PageController::class);
    }
    Route::post('/sign-out', [SessionController::class, 'signOut']);

    Route::prefix('api')
        ->middleware('throttle:edits')
        ->group(__DIR__.'/api.php');
});
