<?php

declare(strict_types=1);

use App\Http\Controllers\LoggerController;
use App\Http\Middleware\LoggerOnly;
use App\Http\Middleware\LoggerPace;
use Illuminate\Support\Facades\Route;

Route::post('sessions/{session}/readings', [LoggerController::class, 'append'])->middleware([LoggerOnly::class, LoggerPace::class])->name('logger.append');
