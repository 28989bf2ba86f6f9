<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/** Whether somebody sits at this machine: the connection itself comes from it, and nobody has passed the request on. */
final class LocalConnection
{
    /** What proxies add. Their presence is enough: whatever they say of where the request came from, it was not here. */
    private const PASSED_ON = [
        'Forwarded', 'X-Forwarded-For', 'X-Forwarded-Host', 'X-Forwarded-Proto', 'X-Forwarded-Port', 'X-Real-IP', 'Via',
    ];

    public static function isOf(Request $request): bool
    {
        if (! in_array($request->server->get('REMOTE_ADDR'), ['127.0.0.1', '::1'], true)) {
            return false;
        }
        foreach (self::PASSED_ON as $header) {
            if ($request->headers->has($header)) {
                return false;
            }
        }

        return true;
    }
}
