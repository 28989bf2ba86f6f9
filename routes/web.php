<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BookController;
use App\Http\Controllers\ByHandController;
use App\Http\Controllers\CableImportController;
use App\Http\Controllers\CardController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\ComparisonController;
use App\Http\Controllers\CrewController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\EverywhereController;
use App\Http\Controllers\FarTestController;
use App\Http\Controllers\FaultController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\HearingController;
use App\Http\Controllers\LabelController;
use App\Http\Controllers\MadeBookController;
use App\Http\Controllers\MemberController;
use App\Http\Controllers\MixerModelController;
use App\Http\Controllers\ModelFileController;
use App\Http\Controllers\MovedByController;
use App\Http\Controllers\ObservedController;
use App\Http\Controllers\OutboxController;
use App\Http\Controllers\OwnModelController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\RigController;
use App\Http\Controllers\RigViewController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShareController;
use App\Http\Controllers\ToneController;
use App\Http\Controllers\TwiceController;
use App\Http\Controllers\TwoStepController;
use App\Http\Controllers\WiringController;
use App\Http\Controllers\WishImportController;
use Illuminate\Support\Facades\Route;

// What an address numbers fits a column of the database.
// Revisions are counted, and a longer number is none.
Route::pattern('number', '[0-9]{1,9}');
Route::pattern('with', '[0-9]{1,9}');

Route::patterns(array_fill_keys(['rig', 'own', 'invitation', 'number', 'with', 'member', 'picture', 'share', 'book', 'crew'], '\d{1,15}'));

Route::middleware('guest')->group(function () {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store']);
    Route::get('/sign-in/code', [TwoStepController::class, 'ask'])->name('login.code');
    Route::post('/sign-in/code', [TwoStepController::class, 'answer']);
    Route::get('/register', [AccountController::class, 'create'])->name('register');
    Route::post('/register', [AccountController::class, 'store'])->middleware('throttle:registration');
    Route::controller(PasswordController::class)->group(function () {
        Route::get('/forgotten', 'create')->name('password.request');
        Route::post('/forgotten', 'store')->middleware('throttle:reset');
        Route::get('/new-password/{token}', 'edit')->name('password.reset');
        Route::post('/new-password', 'update')->middleware('throttle:reset')->name('password.store');
    });
});

// For whoever has the link, signed in or not.
Route::controller(FarTestController::class)->prefix('/far/{run}/{listener}')->middleware(['signed', 'throttle:ticks'])->name('far')
    ->whereNumber('run')->where(['listener' => '[a-z0-9._-]{1,60}'])->group(function () {
        Route::get('/', 'show');
        Route::post('/', 'answer')->name('.answer');
    });
Route::get('/label/{secret}/{kind}/{id}', [LabelController::class, 'open'])->where('secret', '[A-Za-z0-9]{40}')
    ->whereIn('kind', ['cable', 'unit'])->where('id', '[a-z0-9._-]{1,64}')->middleware('throttle:shared')->name('label');
Route::get('/shared/{secret}', [ShareController::class, 'show'])->where('secret', '[A-Za-z0-9]{40}')
    ->middleware('throttle:shared')->name('shared');

Route::middleware(['auth', 'auth.session'])->group(function () {
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('logout');
    Route::get('/outbox', OutboxController::class)->name('outbox');
    Route::controller(AccountController::class)->prefix('/account')->name('account')->group(function () {
        Route::get('/', 'show');
        Route::put('/lengths', 'lengths')->middleware('throttle:account')->name('.lengths');
        Route::put('/password', 'password')->middleware('throttle:account')->name('.password');
        Route::post('/sign-out-everywhere', 'signOutEverywhere')->middleware('throttle:account')->name('.everywhere');
        Route::delete('/sessions/{mark}', 'signOut')->where('mark', '[0-9a-f]{32}')->middleware('throttle:account')->name('.sign-out');
        Route::get('/export', 'export')->middleware('throttle:export')->name('.export');
        Route::delete('/', 'destroy')->middleware('throttle:account')->name('.destroy');
    });
    Route::controller(TwoStepController::class)->prefix('/account/two-step')->name('account.two-step')->group(function () {
        Route::get('/', 'show');
        Route::post('/', 'begin')->middleware('throttle:account')->name('.begin');
        Route::put('/', 'confirm')->middleware('throttle:account')->name('.confirm');
        Route::post('/codes', 'renew')->middleware('throttle:account')->name('.renew');
        Route::delete('/', 'end')->middleware('throttle:account')->name('.end');
    });
    Route::controller(CatalogueController::class)->prefix('/catalogue')->name('catalogue')->group(function () {
        Route::get('/', 'index');
        Route::post('/', 'add')->name('.add');
        Route::get('/search', 'search')->name('.search');
        Route::get('/{model}/drawing', 'drawing')->name('.drawing');
    });
    Route::controller(ModelFileController::class)->prefix('/models')->name('models')->group(function () {
        Route::post('/file', 'store')->middleware('throttle:own-models')->name('.file');
        Route::get('/{own}/file', 'show')->whereNumber('own')->name('.download');
    });
    Route::controller(MixerModelController::class)->prefix('/models/mixer')->name('models.mixer')->group(function () {
        Route::get('/', 'create');
        Route::post('/', 'store')->middleware('throttle:own-models')->name('.store');
        Route::post('/drawing', 'drawing')->middleware('throttle:model-drawing')->name('.drawing');
    });
    Route::controller(OwnModelController::class)->prefix('/models')->name('models')->group(function () {
        Route::get('/', 'index');
        Route::get('/new', 'create')->name('.create');
        Route::post('/', 'store')->middleware('throttle:own-models')->name('.store');
        Route::post('/drawing', 'drawing')->middleware('throttle:model-drawing')->name('.drawing');
        Route::get('/{own}', 'edit')->name('.edit');
        Route::put('/{own}', 'update')->name('.update');
        Route::delete('/{own}', 'destroy')->name('.destroy');
    });

    Route::post('/invitations/{invitation}', [MemberController::class, 'accept'])->name('invitations.accept');
    Route::delete('/invitations/{invitation}', [MemberController::class, 'decline'])
        ->name('invitations.decline');
    Route::get('/find', EverywhereController::class)->middleware('throttle:find-all')->name('find-all');
    Route::controller(CrewController::class)->prefix('/crews')->name('crews.')->group(function () {
        Route::get('/', 'index')->name('index');
        Route::post('/', 'store')->middleware('throttle:invitations')->name('store');
        Route::post('/invitations/{invitation}', 'accept')->name('accept');
        Route::delete('/invitations/{invitation}', 'decline')->name('decline');
        Route::prefix('/{crew}')->scopeBindings()->group(function () {
            Route::get('/', 'show')->name('show');
            Route::put('/', 'rename')->middleware('throttle:invitations')->name('rename');
            Route::delete('/', 'destroy')->name('destroy');
            Route::post('/people', 'invite')->middleware('throttle:invitations')->name('invite');
            Route::delete('/people', 'leave')->name('leave');
            Route::put('/people/{member}', 'role')->name('role');
            Route::delete('/people/{member}', 'remove')->name('remove');
        });
    });
    Route::get('/', [RigController::class, 'index'])->name('rigs.index');
    Route::prefix('/rigs')->name('rigs.')->group(function () {
        Route::middleware('throttle:import')->controller(RigController::class)->group(function () {
            Route::post('/', 'store')->name('store');
            Route::post('/blank', 'create')->name('create');
            Route::post('/starter', 'start')->name('start');
        });
        // Where a failed import leaves the browser.
        Route::get('/', [RigController::class, 'index']);
        Route::get('/standings', [RigController::class, 'standings'])->name('standings');
        Route::prefix('/{rig}')->group(function () {
            Route::controller(RigController::class)->group(function () {
                Route::get('/document', 'document')->name('document');
                Route::delete('/', 'destroy')->name('destroy');
                Route::put('/owner', 'handOver')->middleware('throttle:invitations')->name('hand-over');
                Route::post('/recover', 'recover')->name('recover');
            });
            foreach (RigViewController::STEPS as $step) {
                Route::get("/{$step->value}", RigViewController::class)->defaults('step', $step->value)->name($step->value);
            }
            Route::get('/import-cables', CableImportController::class)->name('import-cables');
            Route::post('/import-cables', CableImportController::class)->middleware('throttle:import')
                ->name('import-cables.read');
            Route::get('/import-wishes', WishImportController::class)->name('import-wishes');
            Route::post('/import-wishes', WishImportController::class)->middleware('throttle:import')
                ->name('import-wishes.read');
            Route::get('/causes', [HearingController::class, 'causes'])->name('causes');
            Route::post('/hear-on', [HearingController::class, 'hearOn'])->middleware('throttle:hear-on')->name('hear-on');
            Route::get('/wiring', [WiringController::class, 'show'])->name('wiring');
            Route::put('/layout', [WiringController::class, 'layout'])->middleware('throttle:layout')->name('layout');
            Route::get('/book', [BookController::class, 'show'])->name('book');
            Route::get('/book/map/{depth}', [BookController::class, 'map'])->middleware('throttle:layout')->name('book.map');
            Route::get('/book/chapter/{chapter}', [BookController::class, 'chapter'])->name('book.chapter');
            Route::get('/book/written', [BookController::class, 'written'])->middleware('throttle:export')->name('book.written');
            Route::controller(MadeBookController::class)->prefix('/books')->name('books')->scopeBindings()->group(function () {
                Route::post('/', 'store')->middleware('throttle:export')->name('.store');
                Route::get('/{book}', 'show')->name('.show');
                Route::delete('/{book}', 'destroy')->name('.destroy');
                Route::get('/{book}/file', 'file')->name('.file');
            });
            Route::controller(ComparisonController::class)->prefix('/history/{number}/{with}')->group(function () {
                Route::get('/', 'show')->name('compare');
                Route::get('/maps', 'maps')->middleware('throttle:layout')->name('compare.maps');
            });
            Route::match(['get', 'post'], '/computers/{computer}/observed', ObservedController::class)
                ->middleware('throttle:documents')->name('observed');
            Route::controller(FaultController::class)->prefix('/faults')->name('faults')->group(function () {
                Route::get('/', 'index');
                Route::get('/hear', 'hear')->middleware('throttle:documents')->name('.hear');
                Route::get('/progress', 'progress')->middleware('throttle:ticks')->name('.progress');
            });
            Route::controller(ToneController::class)->prefix('/tones')->name('tones')->group(function () {
                Route::get('/', 'index');
                Route::post('/', 'store')->middleware('throttle:documents')->name('.store');
                Route::post('/simulated', 'simulate')->middleware('throttle:export')->name('.simulate');
                Route::get('/play/{source}', 'play')->where('source', '[a-z0-9._-]{1,60}')->name('.play');
                Route::get('/play/{source}/wav', 'file')->where('source', '[a-z0-9._-]{1,60}')
                    ->middleware('throttle:documents')->name('.file');
                Route::get('/{take}', 'show')->whereNumber('take')->name('.show');
                Route::post('/{take}/files/{index}', 'piece')->whereNumber(['take', 'index'])
                    ->middleware('throttle:pieces')->name('.piece');
                Route::post('/{take}/ready', 'ready')->whereNumber('take')->middleware('throttle:documents')->name('.ready');
                Route::post('/{take}/keep', 'keep')->whereNumber('take')->middleware('throttle:ticks')->name('.keep');
                Route::delete('/{take}', 'destroy')->whereNumber('take')->middleware('throttle:ticks')->name('.destroy');
            });
            Route::get('/moved-by', MovedByController::class)->name('moved-by');
            Route::get('/by-hand', ByHandController::class)->middleware('throttle:documents')->name('by-hand');
            Route::controller(BenchController::class)->prefix('/bench')->name('bench')->group(function () {
                Route::get('/', 'index');
                Route::post('/', 'store')->middleware('throttle:ticks')->name('.store');
                Route::post('/file', 'import')->middleware('throttle:documents')->name('.import');
                Route::get('/standing', 'standing')->name('.standing');
                Route::get('/practise', 'practise')->middleware('throttle:documents')->name('.practise');
                Route::get('/{run}', 'run')->whereNumber('run')->name('.run');
                Route::post('/{run}', 'answer')->whereNumber('run')->middleware('throttle:ticks')->name('.answer');
                Route::post('/{run}/playing', 'playing')->whereNumber('run')->middleware('throttle:ticks')->name('.playing');
                Route::get('/{run}/file', 'export')->whereNumber('run')->name('.export');
            });
            Route::controller(CardController::class)->prefix('/cards')->group(function () {
                Route::get('/', 'index')->name('cards');
                Route::get('/{card}', 'show')->where('card', '[a-z0-9._/-]{1,80}')->name('card');
                Route::post('/{card}', 'tick')->where('card', '[a-z0-9._/-]{1,80}')->middleware('throttle:ticks')->name('card.tick');
            });
            Route::post('/labels', [LabelController::class, 'print'])->middleware('throttle:documents')->name('labels');
            Route::get('/label/{kind}/{id}', [LabelController::class, 'show'])
                ->whereIn('kind', ['cable', 'unit'])->where('id', '[a-z0-9._-]{1,64}')->name('label');
            Route::get('/exports/{format}', [BookController::class, 'export'])->middleware('throttle:documents')->name('export');
            Route::delete('/layout', [WiringController::class, 'forget'])->name('layout.forget');
            Route::get('/find', FindController::class)->name('find');
            Route::get('/twice', TwiceController::class)->name('twice');
            Route::controller(EditController::class)->group(function () {
                Route::post('/edits', 'store')->name('edit');
                Route::post('/undo', 'undo')->name('undo');
                Route::post('/redo', 'redo')->name('redo');
                Route::get('/history', 'history')->name('history');
                Route::put('/history/thins', 'thins')->name('history.thins');
                Route::post('/revisions/{number}/restore', 'restore')->name('restore');
                Route::put('/revisions/{number}/name', 'name')->name('revision.name');
            });
            Route::controller(MemberController::class)->group(function () {
                Route::get('/people', 'index')->name('people');
                Route::delete('/people', 'leave')->name('leave');
                Route::post('/people', 'store')->middleware('throttle:invitations')->name('people.store');
                Route::put('/people/{member}', 'role')->scopeBindings()->name('people.role');
                Route::delete('/people/{member}', 'destroy')->scopeBindings()->name('people.destroy');
                Route::post('/pulse', 'pulse')->name('pulse');
            });
            Route::controller(ShareController::class)->scopeBindings()->group(function () {
                Route::post('/shares', 'store')->middleware('throttle:invitations')->name('shares.store');
                Route::delete('/shares/{share}', 'destroy')->name('shares.destroy');
            });
            Route::controller(PictureController::class)->scopeBindings()->group(function () {
                Route::post('/pictures', 'store')->middleware('throttle:pictures')->name('pictures.store');
                Route::get('/pictures/{picture}', 'show')->name('pictures.show');
                Route::delete('/pictures/{picture}', 'destroy')->name('pictures.destroy');
            });
        });
    });
});
