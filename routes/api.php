<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\ArrivalController;
use App\Http\Controllers\AuthController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\DrillController;
use App\Http\Controllers\EventController;
use App\Http\Controllers\FitController;
use App\Http\Controllers\ForecastController;
use App\Http\Controllers\GarageController;
use App\Http\Controllers\GaragesController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\KitController;
use App\Http\Controllers\MovingController;
use App\Http\Controllers\NewCarController;
use App\Http\Controllers\OcpiController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PersonController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PieceController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\ReviewController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SessionExportController;
use App\Http\Controllers\SimulationController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\VisitorController;
use App\Http\Middleware\Idempotent;
use App\Http\Middleware\MatchesShownGarage;
use App\Http\Middleware\MayAct;
use App\Http\Middleware\NotDemo;
use App\Http\Middleware\SameOrigin;
use App\Http\Middleware\VisitorsAllowed;
use Illuminate\Support\Facades\Route;

// The doors for a visitor.
Route::middleware(SameOrigin::class)->group(static function (): void {
    Route::post('sign-in', [AccountController::class, 'signIn'])->name('api.sign-in');
    Route::post('demo-sign-in', [AccountController::class, 'openDemo'])->middleware('throttle:30,1')->name('api.demo-sign-in');
    Route::post('accounts', [AuthController::class, 'found'])->middleware('throttle:30,1')->name('api.found');
    Route::get('invitations/{token}', [AuthController::class, 'invitation'])->middleware('throttle:60,1')->name('api.invitation');
    Route::post('invitations/{token}/account', [AuthController::class, 'joinAnew'])->middleware('throttle:30,1')->name('api.join-anew');
    Route::post('password/forgotten', [AuthController::class, 'forgotten'])->name('api.forgotten');
    Route::post('password/reset', [AuthController::class, 'reset'])->name('api.reset');
});

// What somebody without an account may ask: it computes, and keeps nothing.
Route::middleware([SameOrigin::class, VisitorsAllowed::class, 'throttle:120,1,visitors'])->prefix('visitors')->name('api.visitors.')->group(static function (): void {
    Route::get('terms', [VisitorController::class, 'terms'])->name('terms');
    Route::get('car-kinds', [VisitorController::class, 'classes'])->name('car-kinds');
    Route::post('new-car', [VisitorController::class, 'draft'])->name('new-car');
});

// For anybody who is signed in, with or without a garage.
Route::middleware(['auth', MatchesShownGarage::class.':account'])->name('api.')->group(static function (): void {
    Route::post('sign-out', [AccountController::class, 'signOut'])->withoutMiddleware(MatchesShownGarage::class.':account')->name('sign-out');
    Route::get('me', [PersonController::class, 'show'])->name('me');
    Route::put('me', [PersonController::class, 'update'])->middleware(NotDemo::class)->name('me.change');
    Route::delete('me', [PersonController::class, 'destroy'])->middleware(NotDemo::class)->name('me.end');
    Route::put('me/password', [PersonController::class, 'password'])->middleware(NotDemo::class)->name('me.password');
    Route::get('me/devices', [PersonController::class, 'devices'])->name('me.devices');
    Route::delete('me/devices/{device}', [PersonController::class, 'signOutDevice'])->name('me.device');
    Route::post('invitations/{token}/join', [AuthController::class, 'join'])->middleware(['throttle:30,1', NotDemo::class])->name('join');
    Route::post('garages', [GaragesController::class, 'store'])->middleware([NotDemo::class, Idempotent::class])->name('garages.found');
    Route::put('garages/{garage}/stand', [GaragesController::class, 'stand'])->name('garages.stand');
});

// Inside a garage. Who may do more than look is said beside each.
Route::middleware(['auth', MatchesShownGarage::class, MayAct::class])->name('api.')->group(static function (): void {
    Route::get('garage', [GarageController::class, 'show'])->name('garage');
    Route::get('garage/plates', [GarageController::class, 'plates'])->name('garage.plates');
    Route::get('terms', [GarageController::class, 'terms'])->name('terms');
    Route::get('board', [FitController::class, 'board'])->name('board');
    Route::get('tours/{tour}/pack', [FitController::class, 'pack'])->name('tour.pack');
    Route::get('kit', [KitController::class, 'smallest'])->name('kit');
    Route::get('vetting', [KitController::class, 'questions'])->name('vetting');
    Route::post('vetting', [KitController::class, 'vet'])->name('vet');
    Route::get('adapters/{adapter}/first-test', [KitController::class, 'firstTest'])->name('first-test');
    Route::post('fit', [FitController::class, 'fit'])->name('fit');
    Route::post('steps', [FitController::class, 'steps'])->name('steps');
    Route::get('drills', [DrillController::class, 'next'])->name('drills');
    Route::post('drills', [DrillController::class, 'answer'])->name('drills.answer');
    Route::post('drills/simulation', [DrillController::class, 'play'])->name('drills.simulation');
    Route::post('simulation', [SimulationController::class, 'play'])->name('simulation');
    Route::post('forecast', [ForecastController::class, 'forecast'])->name('forecast');
    Route::post('ranking', [ForecastController::class, 'ranking'])->name('ranking');
    Route::get('catalogue', [CatalogueController::class, 'show'])->name('catalogue');
    Route::get('car-kinds', [NewCarController::class, 'classes'])->name('car-kinds');
    Route::post('new-car', [NewCarController::class, 'draft'])->name('new-car');
    Route::get('ocpi/export', [OcpiController::class, 'export'])->name('ocpi.export');
    Route::get('sessions', [SessionController::class, 'index'])->name('sessions');
    Route::get('session-sums', [SessionController::class, 'sums'])->name('sessions.sums');
    Route::get('sessions/{session}/export.csv', [SessionExportController::class, 'csv'])->name('session.csv');
    Route::get('sessions/{session}/export.json', [SessionExportController::class, 'json'])->name('session.json');
    Route::get('sessions/{session}/report.pdf', [SessionExportController::class, 'pdf'])->name('session.pdf');
    Route::get('sessions/{session}/cdr', [SessionExportController::class, 'cdr'])->name('session.cdr');
    Route::get('sessions/{session}/imports', [ImportController::class, 'index'])->name('session.imports');
    Route::get('imports/{file}', [ImportController::class, 'show'])->name('import');
    Route::get('imports/{file}/look', [ImportController::class, 'look'])->name('import.look');
    Route::get('imports/{file}/left-out.csv', [ImportController::class, 'rejected'])->name('import.rejected');
    Route::get('compare', [ReviewController::class, 'compare'])->name('compare');
    Route::get('trust', [ReviewController::class, 'trust'])->name('trust');
    Route::get('memory', [ReviewController::class, 'memory'])->name('memory');
    Route::get('sessions/{session}', [SessionController::class, 'show'])->name('session.show');
    Route::post('sessions/{session}/simulation', [SimulationController::class, 'feed'])->name('session.simulation');
    Route::get('sessions/{session}/photos', [PhotoController::class, 'ofSession'])->name('session.photos');
    Route::get('sessions/{session}/readings', [ReadingController::class, 'index'])->name('session.readings');
    Route::get('garage/export', [MovingController::class, 'export'])->name('garage.export');
    Route::get('put-aside', [MovingController::class, 'putAside'])->name('put-aside');
    Route::get('pieces/{kind}/{piece}/photos', [PhotoController::class, 'index'])->name('photos');
    Route::get('photos/{photo}', [PhotoController::class, 'show'])->name('photo');
    Route::get('people', [PeopleController::class, 'index'])->name('people');
    Route::delete('people/{person}', [PeopleController::class, 'remove'])->middleware(NotDemo::class)->name('people.remove');
});

Route::middleware(['auth', MatchesShownGarage::class, MayAct::class.':edit'])->name('api.')->group(static function (): void {
    Route::post('wishes/{wish}/buy', [KitController::class, 'buy'])->middleware(Idempotent::class)->name('wishes.buy');
    Route::post('places/{place}/copy', [PieceController::class, 'copyPlace'])->middleware(Idempotent::class)->name('places.copy');
    Route::prefix('pieces/{kind}')->name('pieces.')->group(static function (): void {
        Route::post('', [PieceController::class, 'store'])->middleware(Idempotent::class)->name('create');
        Route::post('check', [PieceController::class, 'check'])->name('check');
        Route::put('', [PieceController::class, 'updateSeveral'])->name('replace-several');
        Route::put('{piece}', [PieceController::class, 'update'])->name('replace');
        Route::post('{piece}/photos', [PhotoController::class, 'store'])->name('photos.keep');
    });
});

Route::middleware(['auth', MatchesShownGarage::class, MayAct::class.':record'])->name('api.')->group(static function (): void {
    Route::post('sessions', [SessionController::class, 'store'])->name('sessions.begin');
    Route::delete('sessions/{id}', [SessionController::class, 'destroy'])->name('session.discard');
    Route::post('sessions/{id}/restore', [SessionController::class, 'restore'])->name('sessions.restore');
    Route::prefix('sessions/{session}')->name('session.')->group(static function (): void {
        Route::post('finish', [SessionController::class, 'finish'])->name('finish');
        Route::post('reopen', [SessionController::class, 'reopen'])->name('reopen');
        Route::post('judge-anew', [ReviewController::class, 'judgeAnew'])->name('judge-anew');
        Route::post('judge-as-before', [ReviewController::class, 'judgeAsBefore'])->name('judge-as-before');
        Route::put('baselines/{baseline}', [ReviewController::class, 'keepBaseline'])->name('baseline.keep');
        Route::delete('baselines/{baseline}', [ReviewController::class, 'dropBaseline'])->name('baseline.drop');
        Route::post('readings', [ReadingController::class, 'store'])->name('readings.take');
        Route::delete('readings/{clientId}', [ReadingController::class, 'destroy'])->name('readings.forget');
        Route::post('events', [EventController::class, 'store'])->name('events.note');
        Route::delete('events/{clientId}', [EventController::class, 'destroy'])->name('events.forget');
        Route::post('photos', [PhotoController::class, 'storeOfSession'])->name('photos.take');
        Route::patch('', [SessionController::class, 'correct'])->name('correct');
        Route::post('imports', [ImportController::class, 'store'])->middleware(Idempotent::class)->name('imports.begin');
    });
    Route::prefix('imports/{file}')->name('import.')->group(static function (): void {
        Route::put('piece', [ImportController::class, 'append'])->name('append');
        Route::put('', [ImportController::class, 'tell'])->name('tell');
        Route::post('start', [ImportController::class, 'start'])->name('start');
        Route::post('stop', [ImportController::class, 'stop'])->name('stop');
        Route::delete('', [ImportController::class, 'destroy'])->name('take-back');
    });
});

Route::middleware(['auth', MatchesShownGarage::class, MayAct::class.':record'])->name('api.')->group(static function (): void {
    Route::get('tokens', [TokenController::class, 'index'])->name('tokens');
    Route::post('tokens', [TokenController::class, 'store'])->middleware([NotDemo::class, Idempotent::class])->name('tokens.make');
    Route::delete('tokens/{token}', [TokenController::class, 'destroy'])->name('tokens.end');
});

Route::middleware(['auth', MatchesShownGarage::class, MayAct::class.':keep'])->name('api.')->group(static function (): void {
    Route::put('garage', [GaragesController::class, 'update'])->name('garage.change');
    Route::delete('garage', [GaragesController::class, 'destroy'])->middleware(NotDemo::class)->name('garage.end');
    Route::post('garage/import', [MovingController::class, 'import'])->name('garage.import');
    Route::prefix('garage/arrivals')->name('arrival')->group(static function (): void {
        Route::get('', [ArrivalController::class, 'newest'])->name('.newest');
        Route::post('', [ArrivalController::class, 'store'])->middleware(Idempotent::class)->name('.begin');
        Route::get('{arrival}', [ArrivalController::class, 'show'])->name('.show');
        Route::put('{arrival}/piece', [ArrivalController::class, 'append'])->name('.append');
        Route::post('{arrival}/start', [ArrivalController::class, 'start'])->name('.start');
        Route::delete('{arrival}', [ArrivalController::class, 'destroy'])->name('.forget');
    });
    Route::put('garage/habits', [GarageController::class, 'habits'])->name('garage.habits');
    Route::delete('pieces/{kind}/{piece}', [PieceController::class, 'destroy'])->name('pieces.remove');
    Route::post('pieces/{kind}/{piece}/restore', [PieceController::class, 'restore'])->name('pieces.restore');
    Route::delete('photos/{photo}', [PhotoController::class, 'destroy'])->name('photo.remove');
    Route::post('photos/{photo}/restore', [PhotoController::class, 'restore'])->name('photo.restore');
    Route::post('ocpi/preview', [OcpiController::class, 'preview'])->name('ocpi.preview');
    Route::post('ocpi/import', [OcpiController::class, 'import'])->name('ocpi.import');
    Route::get('ocpi/imports', [OcpiController::class, 'index'])->name('ocpi.imports');
    Route::post('ocpi/imports/{import}/undo', [OcpiController::class, 'undo'])->name('ocpi.undo');
    Route::post('people/invitations', [PeopleController::class, 'invite'])->middleware([NotDemo::class, Idempotent::class])->name('people.invite');
    Route::delete('people/invitations/{invitation}', [PeopleController::class, 'withdraw'])->name('people.withdraw');
    Route::put('people/{person}', [PeopleController::class, 'role'])->middleware(NotDemo::class)->name('people.role');
});
