<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\RateLimiter;

/** How often things may be done, each purpose on its own, by account or, before there is one, by network address. */
final class Throttles
{
    /** Times a minute for each account. */
    private const A_MINUTE = [
        'import' => 30,
        'own-models' => 60,
        'model-drawing' => 240,
        'layout' => 60,
        'hear-on' => 6,
        'invitations' => 20,
        'find-all' => 120,
        'pictures' => 60,
        'pieces' => 1_200,
        'account' => 10,
        'export' => 10,
        'documents' => 40,
        'shared' => 30,
        'ticks' => 120,
    ];

    public static function define(): void
    {
        foreach (self::A_MINUTE as $purpose => $times) {
            RateLimiter::for($purpose, fn (Request $request) => Limit::perMinute($times)
                ->by($purpose.'|'.($request->user()->id ?? $request->ip()))->response(self::later(...)));
        }
        RateLimiter::for('registration', fn (Request $request) => [
            Limit::perMinute(10)->by('registration|'.$request->ip())->response(self::later(...)),
            Limit::perHour(60)->by('registrations|'.$request->ip())->response(self::later(...)),
        ]);
        // By who asks, never by whose account it is: else anybody could shut others out.
        RateLimiter::for('reset', fn (Request $request) => [
            Limit::perMinute(5)->by('reset|'.$request->ip())->response(self::later(...)),
            Limit::perHour(30)->by('resets|'.$request->ip())->response(self::later(...)),
        ]);
    }

    /** @param  array<string, mixed>  $headers */
    private static function later(Request $request, array $headers): Response|\Illuminate\Http\JsonResponse
    {
        $seconds = is_numeric($headers['Retry-After'] ?? null) ? (int) $headers['Retry-After'] : 60;
        $message = 'Too many requests. Try again in '.($seconds > 90 ? ceil($seconds / 60).' minutes.' : "{$seconds} seconds.");

        return $request->expectsJson()
            ? response()->json(['message' => $message], 429, $headers)
            : response()->view('errors.429', ['says' => $message], 429, $headers);
    }
}
