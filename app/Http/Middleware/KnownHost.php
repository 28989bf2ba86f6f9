<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers only to the names that this server is known by (`APP_HOSTS`), at the port where it was reached or that stands with the name or in
 * `APP_URL`: links in answers and mails are made from both.
 */
final class KnownHost
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $host = strtolower((string) $request->headers->get('Host', ''));
        $hosts = (array) config('app.hosts');
        $isKnown = in_array($host, $hosts, true);
        if (! $isKnown && preg_match('/^(.+):(\d+)$/', $host, $parts) === 1) {
            $ports = [(int) $request->server->get('SERVER_PORT'), (int) parse_url((string) config('app.url'), PHP_URL_PORT)];
            $isKnown = in_array($parts[1], $hosts, true) && in_array((int) $parts[2], $ports, true);
        }

        return $isKnown
            ? $next($request)
            : response('This server is not known by that name. Its names are set in APP_HOSTS.', 400, ['Content-Type' => 'text/plain']);
    }
}
