<?php

declare(strict_types=1);

use App\Http\Controllers\DrawerChartController;
use App\Http\Controllers\DrawerController;
use App\Http\Controllers\DrawerImportController;
use App\Http\Controllers\GrainController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\KeptRecipeCardController;
use App\Http\Controllers\KeptRecipeController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PlanSheetController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SpotController;
use App\Http\Controllers\StudyController;
use App\Http\Controllers\SurveyController;
use App\Http\Middleware\TakesTurns;
use Illuminate\Support\Facades\Route;
use KnottyPrism\Core\Formats\DrawerExport;

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
    Route::get('/photo/{study?}', PageController::class);
    Route::post('/sign-out', [SessionController::class, 'signOut']);

    Route::prefix('api')->group(function (): void {
        Route::get('/me', [SessionController::class, 'me']);
        Route::get('/grain', GrainController::class);
        Route::get('/drawer', [DrawerController::class, 'show']);
        Route::get('/drawer/tray', [DrawerController::class, 'tray']);
        Route::get('/drawer/pencil', [DrawerController::class, 'pencil']);
        Route::patch('/drawer/pencil', [DrawerController::class, 'note']);
        Route::get('/drawer/lines', [DrawerController::class, 'lines']);
        Route::post('/drawer/ranges', [DrawerController::class, 'addRange']);
        Route::post('/drawer/undo', [DrawerController::class, 'undo']);
        Route::get('/drawer/file/{kind}', [DrawerController::class, 'export'])->whereIn('kind', array_keys(DrawerExport::KINDS));
        Route::middleware('throttle:heavy')->group(function (): void {
            Route::get('/drawer/reach', [DrawerChartController::class, 'reach']);
            Route::get('/drawer/equivalents', [DrawerChartController::class, 'equivalents']);
            Route::get('/drawer/equivalents.pdf', [DrawerChartController::class, 'equivalentsSheet']);
            Route::get('/drawer/mix', [DrawerChartController::class, 'mix']);
            Route::get('/drawer/chart', [DrawerChartController::class, 'chart']);
            Route::get('/drawer/chart.pdf', [DrawerChartController::class, 'chartSheet']);
            Route::get('/drawer/map.pdf', [DrawerChartController::class, 'map']);
            Route::get('/studies/{study}/purchases', [DrawerChartController::class, 'purchases']);
            Route::post('/drawer/imports', [DrawerImportController::class, 'store'])->middleware(TakesTurns::class);
        });
        Route::get('/drawer/imports/{import}', [DrawerImportController::class, 'show']);
        Route::patch('/drawer/imports/{import}', [DrawerImportController::class, 'choose']);
        Route::post('/drawer/imports/{import}/take', [DrawerImportController::class, 'take']);
        Route::delete('/drawer/imports/{import}', [DrawerImportController::class, 'cancel']);

        Route::get('/studies', [StudyController::class, 'index']);
        Route::post('/studies', [StudyController::class, 'store'])->middleware(['throttle:heavy', TakesTurns::class]);
        Route::post('/studies/bundle', [StudyController::class, 'bringIn'])->middleware(['throttle:heavy', TakesTurns::class]);
        Route::get('/studies/{study}/bundle', [StudyController::class, 'bundle'])->middleware('throttle:heavy');
        Route::get('/studies/{study}', [StudyController::class, 'show']);
        Route::patch('/studies/{study}', [StudyController::class, 'update']);
        Route::delete('/studies/{study}', [StudyController::class, 'destroy']);
        Route::get('/studies/{study}/photo', [PhotoController::class, 'plain']);
        Route::post('/studies/{study}/photos', [PhotoController::class, 'store'])->middleware(['throttle:heavy', TakesTurns::class]);
        Route::scopeBindings()->prefix('/studies/{study}/photos/{photo}')->group(function (): void {
            Route::patch('/', [PhotoController::class, 'update']);
            Route::delete('/', [PhotoController::class, 'destroy']);
            Route::get('/look', [PhotoController::class, 'look']);
            Route::get('/values', [PhotoController::class, 'values']);
        });
        Route::get('/studies/{study}/survey', [SurveyController::class, 'show']);
        Route::post('/studies/{study}/survey/changes', [SurveyController::class, 'change']);
        Route::post('/studies/{study}/survey/undo', [SurveyController::class, 'undo']);
        Route::post('/studies/{study}/survey/redo', [SurveyController::class, 'redo']);
        Route::get('/studies/{study}/spots.{kind}', [SurveyController::class, 'spots'])->whereIn('kind', ['gpl', 'csv', 'json']);
        Route::get('/studies/{study}/comparison', [SurveyController::class, 'comparison']);
        Route::get('/studies/{study}/spot', [SpotController::class, 'read']);
        Route::get('/studies/{study}/recipes', [SpotController::class, 'recipes'])->middleware('throttle:heavy');

        Route::prefix('/studies/{study}/picture')->group(function (): void {
            Route::get('/', [PlanController::class, 'show']);
            Route::post('/run', [PlanController::class, 'plan']);
            Route::delete('/run', [PlanController::class, 'cancel']);
            Route::post('/changes', [PlanController::class, 'change']);
            Route::post('/undo', [PlanController::class, 'undo']);
            Route::post('/redo', [PlanController::class, 'redo']);
            Route::post('/version', [PlanController::class, 'version']);
            Route::get('/answers', [PlanController::class, 'answers'])->middleware('throttle:heavy');
            Route::get('/tried', [PlanController::class, 'tried'])->middleware('throttle:heavy');
            Route::get('/image', [PlanController::class, 'image']);
            Route::get('/values', [PlanController::class, 'values']);
            Route::get('/ramp', [PlanController::class, 'ramp']);
            Route::get('/{kind}.pdf', [PlanSheetController::class, 'sheet'])->whereIn('kind', ['card', 'zones', 'steps'])->middleware('throttle:heavy');
            Route::get('/palette.{kind}', [PlanSheetController::class, 'palette'])->whereIn('kind', ['gpl', 'csv']);
        });

        Route::get('/studies/{study}/plan', [KeptRecipeController::class, 'index']);
        Route::post('/studies/{study}/plan', [KeptRecipeController::class, 'store']);
        Route::post('/studies/{study}/plan/undo', [KeptRecipeController::class, 'undo']);
        Route::patch('/studies/{study}/plan/{entry}', [KeptRecipeController::class, 'update'])->scopeBindings();
        Route::delete('/studies/{study}/plan/{entry}', [KeptRecipeController::class, 'destroy']);
        Route::get('/studies/{study}/palette-card', KeptRecipeCardController::class);
    });
});
