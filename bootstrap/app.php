<?php

declare(strict_types=1);

use App\Actions\UnreadableRevision;
use App\Http\Middleware\CsrfToken;
use App\Http\Middleware\KeptSession;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SecurityHeaders;
use App\Models\Rig;
use HiddenWire\Core\Document\InvalidDocument;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\MethodNotAllowedHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->web(replace: [ValidateCsrfToken::class => CsrfToken::class, StartSession::class => KeptSession::class]);
        $middleware->prepend(PlainInput::class);
        $middleware->prepend(KnownHost::class);
        $middleware->prepend(SecurityHeaders::class);
        $middleware->redirectUsersTo(fn () => route('rigs.index'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport(UnreadableRevision::class);
        $exceptions->render(fn (UnreadableRevision $e, Request $request): Response => redirect()
            ->route('rigs.history', $request->route('rig'))->withErrors(['edit' => $e->getMessage()]));
        // What only takes changes is no page to look at.
        $exceptions->render(fn (MethodNotAllowedHttpException $e, Request $request): ?Response => $request->isMethod('GET')
            && ! $request->expectsJson() ? response()->view('errors.404', [], 404) : null);
        // A database that is away comes back: the supervisor sees to it. Nothing was changed, or what was is not yet known to be.
        $exceptions->render(function (QueryException|PDOException $e, Request $request): ?Response {
            if (! app(LostConnectionDetector::class)->causedByLostConnection($e)) {
                return null;
            }
            $says = 'The database is away for a moment. Try again in a few seconds.';

            return $request->expectsJson()
                ? response()->json(['message' => $says], 503, ['Retry-After' => '5'])
                : response()->view('errors.503', [], 503, ['Retry-After' => '5']);
        });
        // A stored rig that can't be read any more says so, and shows the way back.
        $exceptions->dontReport(InvalidDocument::class);
        $exceptions->render(function (InvalidDocument $e, Request $request): ?Response {
            $rig = $request->route('rig');
            if (! $rig instanceof Rig) {
                return null;
            }
            $rig->refresh();

            return $request->expectsJson()
                ? response()->json(['message' => "This rig can't be read: {$rig->trouble}"], 422)
                : response()->view('rigs.unreadable', ['rig' => $rig, 'canEdit' => $request->user()?->can('update', $rig) ?? false], 422);
        });
    })->create();
