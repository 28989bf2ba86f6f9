<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Middleware\TrustHosts;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers only to the names that this server is known by (`APP_HOSTS`), at the port where it was reached or that stands with the name or in
 * `APP_URL`: links in answers and mails are made from both. The framework knows names; ports are added here.
 */
final class KnownHost extends TrustHosts
{
    /**
     * @param  \Closure(Request): Response  $next
     */
    public function handle(Request $request, $next): Response
    {
        return parent::handle($request, fn (Request $request): Response => $this->isKnown($request)
            ? $next($request)
            : response('This server is not known by that name. Its names are set in APP_HOSTS.', 400, ['Content-Type' => 'text/plain']));
    }

    /** @return list<string> patterns, each of a whole name */
    public function hosts(): array
    {
        return array_map(fn (string $host) => '^'.preg_quote((string) preg_replace('/:\d+$/', '', $host)).'$', $this->names());
    }

    /** Here, and in tests too. */
    protected function shouldSpecifyTrustedHosts(): bool
    {
        return true;
    }

    private function isKnown(Request $request): bool
    {
        $host = strtolower((string) $request->headers->get('Host', ''));
        if (in_array($host, $this->names(), true)) {
            return true;
        }
        try {
            $name = $request->getHost();
        } catch (SuspiciousOperationException) {
            return false;
        }
        $ports = [(int) $request->server->get('SERVER_PORT'), (int) parse_url((string) config('app.url'), PHP_URL_PORT)];

        return preg_match('/^(.+):(\d+)$/', $host, $parts) === 1 && $parts[1] === $name
            && in_array($name, $this->names(), true) && in_array((int) $parts[2], $ports, true);
    }

    /** @return list<string> as they are set: names, some with a port */
    private function names(): array
    {
        return array_values(array_filter((array) config('app.hosts'), is_string(...)));
    }
}
