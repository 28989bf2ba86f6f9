<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/**
 * Whether somebody sits at this machine: the connection itself comes from it, nobody has passed the request on, the web server listens to
 * nobody else (it says so itself, in `LISTENS_ON`), and the application is not meant for others (`APP_URL`).
 */
final class LocalConnection
{
    /** What proxies add. Their presence is enough: whatever they say of where the request came from, it was not here. */
    private const PASSED_ON = [
        'Forwarded', 'X-Forwarded-For', 'X-Forwarded-Host', 'X-Forwarded-Proto', 'X-Forwarded-Port', 'X-Real-IP', 'Via',
    ];

    public static function isOf(Request $request): bool
    {
        foreach (['REMOTE_ADDR', 'LISTENS_ON'] as $end) {
            if (! in_array($request->server->get($end), ['127.0.0.1', '::1'], true)) {
                return false;
            }
        }
        if (! self::isOwn((string) config('app.url'))) {
            return false;
        }
        foreach (self::PASSED_ON as $header) {
            if ($request->headers->has($header)) {
                return false;
            }
        }

        return true;
    }

    /** Whether an address is this machine's for itself. */
    public static function isOwn(string $url): bool
    {
        return in_array(parse_url($url, PHP_URL_HOST), ['127.0.0.1', 'localhost', '[::1]'], true);
    }
}
