<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Text;
use Symfony\Component\HttpFoundation\Response;

/** Sends text compressed to whoever takes it so: a page of a rig is ten times smaller then. */
final class Compress
{
    private const LEAST_BYTES = 1000;

    private const LEVEL = 5;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $isText = $response instanceof Text || $response instanceof JsonResponse;
        $body = $isText ? (string) $response->getContent() : '';
        if (strlen($body) < self::LEAST_BYTES || ! in_array('gzip', $request->getEncodings(), true)) {
            return $response;
        }
        $response->setContent((string) gzencode($body, self::LEVEL));
        $response->headers->set('Content-Encoding', 'gzip');
        $response->setVary('Accept-Encoding', false);

        return $response;
    }
}
