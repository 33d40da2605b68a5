<?php

declare(strict_types=1);

use App\Http\Controllers\Book\AccountController;
use App\Http\Controllers\Book\BookController;
use App\Http\Controllers\Book\LogController;
use App\Http\Middleware\FairTurn;
use App\Http\Middleware\TakesTurns;
use Illuminate\Support\Facades\Route;

// The book of an account: routes/api.php has what is around it.

Route::prefix('/log')
    ->controller(LogController::class)
    ->group(function (): void {
        Route::get('/', 'show');
        Route::patch('/', 'note');
        Route::get('/log.csv', 'csv');
        Route::get('/log.ics', 'calendar');
    });

Route::get('/swatches.pdf', [BookController::class, 'swatches'])->middleware(['throttle:heavy', FairTurn::class]);
Route::prefix('/recipes')
    ->controller(BookController::class)
    ->group(function (): void {
        Route::get('/', 'index');
        Route::patch('/{recipe}', 'change');
        Route::delete('/{recipe}', 'remove');
        Route::post('/{recipe}/restore', 'restore');
        Route::get('/{recipe}/laid', 'laid')->middleware(['throttle:heavy', FairTurn::class]);
    });

Route::get('/account.zip', [AccountController::class, 'save'])->middleware(['throttle:heavy', FairTurn::class]);
Route::get('/account', [AccountController::class, 'latest']);
Route::post('/account', [AccountController::class, 'bringIn'])->middleware(['throttle:heavy', TakesTurns::class]);
Route::prefix('/account/imports/{accountImport}')
    ->middleware('can:own,accountImport')
    ->controller(AccountController::class)
    ->group(function (): void {
        Route::get('/', 'import');
        Route::delete('/', 'cancel');
    });
