<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers only to the names that this server is known by (`APP_HOSTS`): links in answers and mails are made from the name. */
final class KnownHost
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $name = strtolower((string) preg_replace('/:\d*$/', '', (string) $request->headers->get('Host', '')));

        return in_array($name, (array) config('app.hosts'), true)
            ? $next($request)
            : response('This server is not known by that name. Its names are set in APP_HOSTS.', 400, ['Content-Type' => 'text/plain']);
    }
}
