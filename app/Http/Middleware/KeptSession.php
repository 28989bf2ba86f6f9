<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Session\Store;
use Illuminate\Support\Arr;

/**
 * Starts the session as the framework does, and writes it only where it holds something else, or was last written a minute ago: most pages
 * change nothing in it, and each write is a transaction. The address of the last page alone is no reason: browsers send it with each form
 * (see the referrer policy of {@see SecurityHeaders}).
 */
final class KeptSession extends StartSession
{
    /** Seconds after which it is written for having been in use. */
    private const IN_USE_S = 60;

    /** When it was last written. */
    private const WRITTEN = '_written';

    /** @var array{string, array<string, mixed>}|null its id and what it held when the request began; null where it is written anyway */
    private ?array $before = null;

    /**
     * @param  Session  $session
     * @return Session
     */
    protected function startSession(Request $request, $session)
    {
        $started = parent::startSession($request, $session);
        $all = $started->all();
        $isUsed = (int) ($all[self::WRITTEN] ?? 0) > now()->getTimestamp() - self::IN_USE_S;
        $this->before = $isUsed && self::flashed($all) === [] ? [$started->getId(), self::lasting($all)] : null;

        return $started;
    }

    /** @param  Request  $request */
    protected function saveSession($request)
    {
        $session = $request->session();
        $all = $session->all();
        if (Arr::get($all, '_flash.new', []) === [] && $this->before === [$session->getId(), self::lasting($all)]) {
            // What was said for this request alone ends with it, as it does where the session is written.
            $session instanceof Store && $session->ageFlashData();

            return;
        }
        $session->put(self::WRITTEN, now()->getTimestamp());
        parent::saveSession($request);
    }

    /**
     * @param  array<string, mixed>  $all
     * @return list<string> keys of what is said once
     */
    private static function flashed(array $all): array
    {
        /** @var array{old?: list<string>, new?: list<string>} $flash */
        $flash = $all['_flash'] ?? [];

        return [...$flash['old'] ?? [], ...$flash['new'] ?? []];
    }

    /**
     * @param  array<string, mixed>  $all
     * @return array<string, mixed> what of it stays after this request
     */
    private static function lasting(array $all): array
    {
        return Arr::except($all, ['_previous', '_flash', self::WRITTEN, ...self::flashed($all)]);
    }
}
