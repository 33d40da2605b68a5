<?php

declare(strict_types=1);

use App\Http\Controllers\Book\LogController;
use Illuminate\Support\Facades\Route;

// The book of an account: routes/api.php has what is around it.

Route::prefix('/log')->controller(LogController::class)->group(function (): void {
    Route::get('/', 'show');
    Route::patch('/', 'note');
    Route::get('/log.csv', 'csv');
    Route::get('/log.ics', 'calendar');
});
