<?php

declare(strict_types=1);

use App\Http\Controllers\HealthController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\SessionController;
use Illuminate\Support\Facades\Route;

// Without a session: it answers when the database does not.
Route::get('/health', HealthController::class)->withoutMiddleware('web');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', PageController::class)->name('login');
    Route::post('/sign-in', [SessionController::class, 'signIn'])->middleware('throttle:sign-in');
    Route::post('/accounts', [SessionController::class, 'register'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    Route::get('/', PageController::class);
    Route::get('/drawer', PageController::class);
    Route::get('/plan/{study?}', PageController::class);
    Route::get('/desk/{study?}', PageController::class);
    Route::get('/book/{study?}', PageController::class);
    Route::get('/photo/{study?}', PageController::class);
    Route::post('/sign-out', [SessionController::class, 'signOut']);

    Route::prefix('api')->group(__DIR__.'/api.php');
});
