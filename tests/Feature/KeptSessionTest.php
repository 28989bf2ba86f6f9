<?php

declare(strict_types=1);

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/** When a session is written: each write is a transaction of its own, and most pages change nothing in it. */
beforeEach(function () {
    config(['session.driver' => 'database']);
    $this->writes = 0;
    DB::listen(function (QueryExecuted $query) {
        $this->writes += preg_match('/^(insert|update).*`sessions`/', $query->sql);
    });
    $this->written = function (callable $ask): int {
        $before = $this->writes;
        // Each request has a session of its own, read from the table.
        app()->forgetInstance('session');
        app()->forgetInstance('session.store');
        auth()->forgetGuards();
        $answer = $ask();
        $this->cookie = $answer->getCookie(config('session.cookie'))?->getValue() ?? $this->cookie ?? null;

        return $this->writes - $before;
    };
    $this->open = fn (string $address): int => ($this->written)(
        fn () => $this->withCookies(isset($this->cookie) ? [config('session.cookie') => $this->cookie] : [])->get($address),
    );
    Route::middleware('web')->group(function () {
        Route::get('/t/plain', fn () => 'plain '.session('kept', 'nothing').' '.session('said', 'silent'));
        Route::get('/t/put', fn () => tap('put', fn () => session()->put('kept', 'this')));
        Route::get('/t/say', fn () => tap('say', fn () => session()->flash('said', 'once')));
        Route::get('/t/now', fn () => tap('now', fn () => session()->now('said', 'only here')));
        Route::get('/t/renew', fn () => tap('renew', fn () => session()->migrate(true)));
    });
});

it('is written when it begins, and not again while nothing in it changes', function () {
    expect(($this->open)('/t/plain'))->toBe(1)
        ->and(($this->open)('/t/plain'))->toBe(0)->and(($this->open)('/t/plain?other'))->toBe(0)
        ->and(DB::table('sessions')->count())->toBe(1);
});

it('is written when something is put into it, said for the next page, or gone after that, and when its name changes', function () {
    ($this->open)('/t/plain');
    expect(($this->open)('/t/put'))->toBe(1)
        // The same again is no change.
        ->and(($this->open)('/t/put'))->toBe(0)
        ->and(($this->open)('/t/say'))->toBe(1);
    expect(($this->open)('/t/plain'))->toBe(1)
        // What was said is over now.
        ->and(($this->open)('/t/plain'))->toBe(0)
        // For this answer alone: it is not kept.
        ->and(($this->open)('/t/now'))->toBe(0)
        ->and(($this->open)('/t/renew'))->toBe(1)
        ->and(DB::table('sessions')->count())->toBe(1);
    app()->forgetInstance('session');
    app()->forgetInstance('session.store');
    $this->withCookies([config('session.cookie') => $this->cookie])->get('/t/plain')->assertSee('plain this silent');
});

it('is written once a minute while it is in use', function () {
    ($this->open)('/t/plain');
    $this->travel(59)->seconds();
    expect(($this->open)('/t/plain'))->toBe(0);
    $this->travel(2)->seconds();
    expect(($this->open)('/t/plain'))->toBe(1)->and(($this->open)('/t/plain'))->toBe(0);
});
