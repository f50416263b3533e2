<?php

declare(strict_types=1);

use App\Http\Controllers\ManifestController;
use Illuminate\Support\Facades\Route;

Route::get('/manifest.webmanifest', ManifestController::class);

// One page draws every screen; its own router reads the address.
Route::view('/{screen?}', 'app')->where('screen', '^(?!api/).*$')->name('page');
