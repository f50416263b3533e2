<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// One page draws every screen; its own router reads the address.
Route::view('/{screen?}', 'app')->where('screen', '^(?!api/).*$')->name('page');
