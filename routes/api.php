<?php

declare(strict_types=1);

use App\Http\Controllers\Account\OwnAccountController;
use App\Http\Controllers\Account\UnwantedController;
use App\Http\Controllers\Book\BookController;
use App\Http\Controllers\Book\LogController;
use App\Http\Controllers\Book\PracticeController;
use App\Http\Controllers\Book\SharingController;
use App\Http\Controllers\Desk\DeskController;
use App\Http\Controllers\Desk\OutlineController;
use App\Http\Controllers\DrawerChartController;
use App\Http\Controllers\DrawerController;
use App\Http\Controllers\DrawerImportController;
use App\Http\Controllers\EarlierPageController;
use App\Http\Controllers\GrainController;
use App\Http\Controllers\HandController;
use App\Http\Controllers\KeptRecipeCardController;
use App\Http\Controllers\KeptRecipeController;
use App\Http\Controllers\MeasuringSheetController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\Plan\PictureController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SpotController;
use App\Http\Controllers\StudyController;
use App\Http\Controllers\SurveyController;
use App\Http\Middleware\FairTurn;
use App\Http\Middleware\TakesTurns;
use Illuminate\Support\Facades\Route;
use KnottyPrism\Core\Formats\Drawers\DrawerFormat;

// What the page asks, behind sign-in (routes/web.php), as docs/openapi.yaml describes it. What belongs to another account is not there.

Route::get('/me', [SessionController::class, 'me']);
Route::prefix('/account')
    ->controller(OwnAccountController::class)
    ->group(function (): void {
        Route::get('/', 'show');
        // A password is tried here as it is at the door.
        Route::middleware('throttle:proof')->group(function (): void {
            Route::patch('/password', 'password');
            Route::post('/elsewhere', 'elsewhere');
            Route::delete('/', 'delete');
        });
    });
Route::post('/unwanted', UnwantedController::class);
Route::get('/grain', GrainController::class);

Route::prefix('/drawer')
    ->controller(DrawerController::class)
    ->group(function (): void {
        Route::get('/', 'show');
        Route::get('/tray', 'tray');
        Route::get('/pencil', 'pencil');
        Route::patch('/pencil', 'note');
        Route::get('/lines', 'lines');
        Route::get('/sample.csv', 'sample');
        Route::post('/ranges', 'addRange');
        Route::post('/undo', 'undo');
        Route::get('/file/{kind}', 'export')->whereIn('kind', DrawerFormat::values());
    });

Route::prefix('/drawer')
    ->middleware(['throttle:heavy', FairTurn::class])
    ->controller(DrawerChartController::class)
    ->group(function (): void {
        Route::get('/reach', 'reach');
        Route::get('/equivalents', 'equivalents');
        Route::get('/equivalents.pdf', 'equivalentsSheet');
        Route::get('/mix', 'mix');
        Route::get('/chart', 'chart');
        Route::get('/chart.pdf', 'chartSheet');
        Route::get('/map.pdf', 'map');
    });

Route::post('/drawer/imports', [DrawerImportController::class, 'store'])->middleware(['throttle:heavy', TakesTurns::class]);
Route::prefix('/drawer/imports/{import}')
    ->middleware('can:own,import')
    ->controller(DrawerImportController::class)
    ->group(function (): void {
        Route::get('/', 'show');
        Route::patch('/', 'choose');
        Route::post('/take', 'take');
        Route::delete('/', 'cancel');
    });

Route::get('/drawer/sheets', [MeasuringSheetController::class, 'index']);
Route::post('/drawer/sheets', [MeasuringSheetController::class, 'store']);
Route::post('/drawer/swatches', [MeasuringSheetController::class, 'ownPage'])->middleware(['throttle:heavy', TakesTurns::class]);
Route::prefix('/drawer/sheets/{sheet}')
    ->middleware('can:own,sheet')
    ->controller(MeasuringSheetController::class)
    ->group(function (): void {
        Route::patch('/', 'correct');
        Route::get('/file.pdf', 'pdf')->middleware(['throttle:heavy', FairTurn::class]);
        Route::get('/drawer.csv', 'csv');
        Route::post('/photo', 'photo')->middleware(['throttle:heavy', TakesTurns::class]);
        Route::post('/made-up', 'madeUp')->middleware(['throttle:heavy', TakesTurns::class]);
    });

Route::prefix('/hand')
    ->controller(HandController::class)
    ->group(function (): void {
        Route::get('/', 'show')->middleware(['throttle:heavy', FairTurn::class]);
        Route::post('/', 'learn')->middleware('throttle:heavy');
        Route::patch('/', 'use');
        Route::get('/strips.pdf', 'pdf')->middleware(['throttle:heavy', FairTurn::class]);
        Route::post('/photo', 'photo')->middleware(['throttle:heavy', TakesTurns::class]);
        Route::post('/made-up', 'madeUp')->middleware(['throttle:heavy', TakesTurns::class]);
    });

Route::prefix('/book')->group(__DIR__.'/book.php');

Route::get('/studies', [StudyController::class, 'index']);
Route::get('/studies/sample.jpg', [StudyController::class, 'sample']);
Route::post('/studies', [StudyController::class, 'store'])->middleware(['throttle:heavy', TakesTurns::class]);
Route::post('/studies/bundle', [StudyController::class, 'bringIn'])->middleware(['throttle:heavy', TakesTurns::class]);
// Asked for again once it is done, when the study is not there any more.
Route::delete('/studies/{study}', [StudyController::class, 'destroy']);

Route::prefix('/studies/{study}')
    ->middleware('can:own,study')
    ->scopeBindings()
    ->group(function (): void {
        Route::get('/', [StudyController::class, 'show']);
        Route::patch('/', [StudyController::class, 'update']);
        Route::get('/bundle', [StudyController::class, 'bundle'])->middleware(['throttle:heavy', FairTurn::class]);
        Route::get('/purchases', [DrawerChartController::class, 'purchases'])->middleware(['throttle:heavy', FairTurn::class]);
        Route::get('/spot', [SpotController::class, 'read']);
        Route::get('/recipes', [SpotController::class, 'recipes'])->middleware(['throttle:heavy', FairTurn::class]);

        Route::get('/photo', [PhotoController::class, 'plain']);
        Route::post('/photos', [PhotoController::class, 'store'])->middleware(['throttle:heavy', TakesTurns::class]);
        Route::prefix('/photos/{photo}')
            ->controller(PhotoController::class)
            ->group(function (): void {
                Route::patch('/', 'update');
                Route::delete('/', 'destroy');
                Route::get('/look', 'look')->middleware(FairTurn::class);
                Route::get('/values', 'values')->middleware(FairTurn::class);
            });

        Route::controller(SurveyController::class)->group(function (): void {
            Route::get('/survey', 'show');
            Route::post('/survey/changes', 'change');
            Route::post('/survey/undo', 'undo');
            Route::post('/survey/redo', 'redo');
            Route::get('/spots.{kind}', 'spots')->whereIn('kind', ['gpl', 'csv', 'json']);
            Route::get('/comparison', 'comparison')->middleware(FairTurn::class);
        });

        Route::prefix('/kept-recipes')
            ->controller(KeptRecipeController::class)
            ->group(function (): void {
                Route::get('/', 'index');
                Route::post('/', 'store');
                Route::post('/undo', 'undo');
                Route::get('/card', KeptRecipeCardController::class)->middleware(FairTurn::class);
                Route::patch('/{keptRecipe}', 'update');
                Route::delete('/{entry}', 'destroy');
            });

        Route::get('/desk/picture/{when}', [PictureController::class, 'atDesk'])
            ->whereIn('when', ['now', 'then'])
            ->middleware(['throttle:heavy', FairTurn::class]);
        Route::get('/desk/outlines.pdf', OutlineController::class)->middleware(['throttle:heavy', FairTurn::class]);
        Route::prefix('/desk')
            ->controller(DeskController::class)
            ->group(function (): void {
                Route::get('/', 'show');
                Route::post('/ticks', 'tick');
                Route::post('/undo', 'takeBack');
                Route::patch('/habits', 'habits');
                Route::get('/finished', 'finished');
            });

        Route::get('/share', [SharingController::class, 'show']);
        Route::post('/share', [SharingController::class, 'share']);
        Route::delete('/share', [SharingController::class, 'withdraw']);
        Route::get('/practice', [PracticeController::class, 'show']);
        Route::post('/practice', [PracticeController::class, 'answer']);
        Route::post('/book-recipes', [BookController::class, 'keep']);
        Route::get('/supply', [LogController::class, 'supply'])->middleware('throttle:heavy');
        Route::prefix('/plan')->group(__DIR__.'/plan.php');

        // What a page asks for that was opened before these were renamed: its plan of the picture, and the recipes it keeps under /plan.
        Route::any('/picture/{rest?}', EarlierPageController::class)->where('rest', '.*');
        Route::post('/plan', EarlierPageController::class);
        Route::match(['patch', 'delete'], '/plan/{entry}', EarlierPageController::class);
    });
