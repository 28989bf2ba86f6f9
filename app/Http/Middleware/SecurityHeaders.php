<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

/** Everything that a page runs or shows ships with the application: the policy says so, and no page has a script in it. */
final class SecurityHeaders
{
    public const POLICY = "default-src 'none'; script-src 'self'; worker-src 'self'; style-src 'self'; img-src 'self' data:; "
        ."font-src 'self'; media-src 'self'; "
        ."connect-src 'self'; "
        ."form-action 'self'; frame-ancestors 'none'; base-uri 'none'";

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        // Whatever a browser says where it came from: we send nobody to another's address.
        if ($response instanceof RedirectResponse && parse_url($response->getTargetUrl(), PHP_URL_HOST) !== $request->getHost()) {
            $response->setTargetUrl($request->getSchemeAndHttpHost());
        }
        if (! headers_sent()) {
            header_remove('X-Powered-By');
        }
        $response->headers->add([
            'Content-Security-Policy' => self::POLICY,
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), microphone=(), geolocation=()',
        ]);

        return $response;
    }
}
