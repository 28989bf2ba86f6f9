<?php

declare(strict_types=1);

use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\RigController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\WiringController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function () {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store']);
});

Route::middleware('auth')->group(function () {
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('logout');
    Route::get('/', [RigController::class, 'index'])->name('rigs.index');
    Route::get('/catalogue', [CatalogueController::class, 'index'])->name('catalogue');
    Route::post('/rigs', [RigController::class, 'store'])->middleware('throttle:30,1')->name('rigs.store');
    Route::post('/rigs/blank', [RigController::class, 'create'])->middleware('throttle:30,1')->name('rigs.create');
    Route::get('/rigs/{rig}/stock', [RigController::class, 'stock'])->whereNumber('rig')->name('rigs.stock');
    Route::post('/rigs/starter', [RigController::class, 'start'])->middleware('throttle:30,1')->name('rigs.start');
    Route::get('/rigs/{rig}/document', [RigController::class, 'document'])->whereNumber('rig')->name('rigs.document');
    Route::delete('/rigs/{rig}', [RigController::class, 'destroy'])->whereNumber('rig')->name('rigs.destroy');
    Route::get('/rigs/{rig}/wishes', [RigController::class, 'wishes'])->whereNumber('rig')->name('rigs.wishes');
    Route::get('/rigs/{rig}/wiring', [WiringController::class, 'show'])->whereNumber('rig')->name('rigs.wiring');
    Route::get('/rigs/{rig}/history', [EditController::class, 'history'])->whereNumber('rig')->name('rigs.history');
    Route::post('/rigs/{rig}/edits', [EditController::class, 'store'])->whereNumber('rig')->name('rigs.edit');
    Route::post('/rigs/{rig}/undo', [EditController::class, 'undo'])->whereNumber('rig')->name('rigs.undo');
    Route::post('/rigs/{rig}/redo', [EditController::class, 'redo'])->whereNumber('rig')->name('rigs.redo');
    Route::post('/rigs/{rig}/revisions/{number}/restore', [EditController::class, 'restore'])->whereNumber(['rig', 'number'])->name('rigs.restore');
    Route::put('/rigs/{rig}/layout', [WiringController::class, 'layout'])->whereNumber('rig')->middleware('throttle:60,1')->name('rigs.layout');
});
