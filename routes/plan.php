<?php

declare(strict_types=1);

use App\Http\Controllers\DrawingCheckController;
use App\Http\Controllers\Plan\PictureController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PlanSheetController;
use App\Http\Middleware\FairTurn;
use App\Http\Middleware\TakesTurns;
use Illuminate\Support\Facades\Route;

// The plan of a study's picture: routes/api.php has what is around it.

Route::controller(PlanController::class)->group(function (): void {
    Route::get('/', 'show');
    Route::post('/pencils', 'prepare');
    Route::get('/run', 'progress');
    Route::post('/run', 'plan');
    Route::delete('/run', 'cancel');
    Route::post('/changes', 'change');
    Route::post('/undo', 'undo');
    Route::post('/redo', 'redo');
    Route::post('/version', 'version');
    Route::get('/answers', 'answers')->middleware(['throttle:heavy', FairTurn::class]);
    Route::get('/ramp', 'ramp')->middleware(FairTurn::class);
});

Route::controller(PictureController::class)
    ->middleware(FairTurn::class)
    ->group(function (): void {
        Route::get('/image', 'image');
        Route::get('/loupe', 'loupe');
        Route::get('/light', 'light');
        Route::get('/values', 'values');
        Route::get('/work', 'work');
    });

Route::prefix('/checks')
    ->controller(DrawingCheckController::class)
    ->group(function (): void {
        Route::get('/', 'index');
        Route::post('/', 'store')->middleware(['throttle:heavy', TakesTurns::class]);
        Route::post('/made-up', 'madeUp')->middleware(['throttle:heavy', TakesTurns::class]);
        Route::delete('/{check}', 'destroy');
        Route::get('/{check}/photo', 'photo');
        Route::get('/{check}/map', 'map');
    });

Route::get('/{kind}.pdf', [PlanSheetController::class, 'sheet'])
    ->whereIn('kind', ['card', 'zones', 'steps'])
    ->middleware(['throttle:heavy', FairTurn::class]);
Route::get('/palette.{kind}', [PlanSheetController::class, 'palette'])->whereIn('kind', ['gpl', 'csv']);
