<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\FitController;
use App\Http\Controllers\ForecastController;
use App\Http\Controllers\GarageController;
use App\Http\Controllers\OcpiController;
use App\Http\Controllers\PieceController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\SessionController;
use App\Http\Middleware\SameOrigin;
use Illuminate\Support\Facades\Route;

// The only two doors for a visitor.
Route::post('sign-in', [AccountController::class, 'signIn'])->middleware(SameOrigin::class)->name('api.sign-in');
Route::post('demo-sign-in', [AccountController::class, 'openDemo'])->middleware([SameOrigin::class, 'throttle:30,1'])->name('api.demo-sign-in');

Route::middleware('auth')->name('api.')->group(static function (): void {
    Route::post('sign-out', [AccountController::class, 'signOut'])->name('sign-out');
    Route::get('me', [AccountController::class, 'me'])->name('me');
    Route::get('garage', [GarageController::class, 'show'])->name('garage');
    Route::get('garage/plates', [GarageController::class, 'plates'])->name('garage.plates');
    Route::get('terms', [GarageController::class, 'terms'])->name('terms');
    Route::put('garage/habits', [GarageController::class, 'habits'])->name('garage.habits');
    Route::get('board', [FitController::class, 'board'])->name('board');
    Route::post('fit', [FitController::class, 'fit'])->name('fit');

    Route::post('forecast', [ForecastController::class, 'forecast'])->name('forecast');
    Route::post('ranking', [ForecastController::class, 'ranking'])->name('ranking');

    Route::get('catalogue', [CatalogueController::class, 'show'])->name('catalogue');
    Route::prefix('pieces/{kind}')->name('pieces.')->group(static function (): void {
        Route::post('', [PieceController::class, 'store'])->name('create');
        Route::post('check', [PieceController::class, 'check'])->name('check');
        Route::put('{piece}', [PieceController::class, 'update'])->name('replace');
        Route::delete('{piece}', [PieceController::class, 'destroy'])->name('remove');
        Route::post('{piece}/restore', [PieceController::class, 'restore'])->name('restore');
    });
    Route::post('ocpi/preview', [OcpiController::class, 'preview'])->name('ocpi.preview');
    Route::post('ocpi/import', [OcpiController::class, 'import'])->name('ocpi.import');
    Route::get('ocpi/imports', [OcpiController::class, 'index'])->name('ocpi.imports');
    Route::post('ocpi/imports/{import}/undo', [OcpiController::class, 'undo'])->name('ocpi.undo');
    Route::get('ocpi/export', [OcpiController::class, 'export'])->name('ocpi.export');

    Route::get('sessions', [SessionController::class, 'index'])->name('sessions');
    Route::post('sessions', [SessionController::class, 'store'])->name('sessions.begin');
    Route::post('sessions/{id}/restore', [SessionController::class, 'restore'])->name('sessions.restore');
    Route::prefix('sessions/{session}')->name('session.')->group(static function (): void {
        Route::get('', [SessionController::class, 'show'])->name('show');
        Route::delete('', [SessionController::class, 'destroy'])->name('discard');
        Route::post('finish', [SessionController::class, 'finish'])->name('finish');
        Route::post('reopen', [SessionController::class, 'reopen'])->name('reopen');
        Route::get('readings', [ReadingController::class, 'index'])->name('readings');
        Route::post('readings', [ReadingController::class, 'store'])->name('readings.take');
        Route::delete('readings/{clientId}', [ReadingController::class, 'destroy'])->name('readings.forget');
        Route::post('readings-file', [ReadingController::class, 'load'])->name('file.load');
        Route::delete('readings-file/{import}', [ReadingController::class, 'destroyFile'])->name('file.forget');
    });
});
