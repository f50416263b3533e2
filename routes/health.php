<?php

declare(strict_types=1);

use App\Http\Controllers\HealthController;
use Illuminate\Support\Facades\Route;

// For monitors: whether it is alive, whether it can do its work, and figures for those with a token.
Route::get('up', [HealthController::class, 'up'])->name('health.up');
Route::get('ready', [HealthController::class, 'ready'])->name('health.ready');
Route::get('metrics', [HealthController::class, 'metrics'])->name('health.metrics');
