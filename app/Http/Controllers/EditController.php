<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AlreadyMade;
use App\Actions\ChangeRig;
use App\Actions\MadeChange;
use App\Actions\StaleEdit;
use App\Actions\UnreadableRevision;
use App\Http\EditId;
use App\Http\Redrawing;
use App\Http\Requests\EditRequest;
use App\Jobs\ThinRig;
use App\Models\Rig;
use App\Models\SentEdit;
use App\Models\User;
use App\ViewModels\RevisionList;
use App\ViewModels\RigPage;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Changes of a rig from its pages, and its history. Each answers with the page that it came from. */
final readonly class EditController
{
    public function __construct(private Redrawing $redrawing)
    {
    }

    public function store(EditRequest $request, Rig $rig, ChangeRig $change): JsonResponse|RedirectResponse|StreamedResponse
    {
        Gate::authorize('update', $rig);
        $user = $this->user($request);

        return $this->answer($request, $rig, fn (): MadeChange => $change->make(
            $rig,
            $user,
            fn (CoreRig $content) => $request->edits($content, $user),
            $request->integer('revision'),
            $request->filled('at_revision') ? $request->integer('at_revision') : null,
            EditId::of($request, $rig),
        ));
    }

    /** The situation that the page shows from which a change came; where that is not known, the one that the change holds in. */
    private function shown(Request $request): ?string
    {
        parse_str((string) parse_url((string) $request->header('X-Page', ''), PHP_URL_QUERY), $query);
        $shown = $query['situation'] ?? $request->input('situation');

        return is_string($shown) && $shown !== '' ? $shown : null;
    }

    public function undo(Request $request, Rig $rig, ChangeRig $change): JsonResponse|RedirectResponse|StreamedResponse
    {
        Gate::authorize('update', $rig);

        return $this->answer($request, $rig, function () use ($change, $rig, $request): string {
            $what = $change->undo($rig, $request->integer('revision'), EditId::of($request, $rig));

            return $what === null ? 'There is nothing to undo.' : "Undone: {$what}";
        });
    }

    public function redo(Request $request, Rig $rig, ChangeRig $change): JsonResponse|RedirectResponse|StreamedResponse
    {
        Gate::authorize('update', $rig);

        return $this->answer($request, $rig, function () use ($change, $rig, $request): string {
            $what = $change->redo($rig, $request->integer('revision'), EditId::of($request, $rig));

            return $what === null ? 'There is nothing to redo.' : "Redone: {$what}";
        });
    }

    public function restore(Request $request, Rig $rig, int $number, ChangeRig $change): JsonResponse|RedirectResponse|StreamedResponse
    {
        Gate::authorize('update', $rig);
        abort_unless($rig->revisions()->where('number', $number)->exists(), 404);

        return $this->answer($request, $rig, function () use ($change, $rig, $request, $number): string {
            $change->restore($rig, $this->user($request), $number, $request->integer('revision'), EditId::of($request, $rig));

            return "Revision {$number} is back.";
        });
    }

    /** Gives a revision a name to find it by: "as shown on the night". */
    public function name(Request $request, Rig $rig, int $number): RedirectResponse
    {
        Gate::authorize('update', $rig);
        $revision = $rig->revisions()->select(['id', 'rig_id', 'number'])->where('number', $number)->first() ?? abort(404);
        $name = $request->validate(['name' => ['nullable', 'string', 'max:'.Bounds::SHORT_NAME]])['name'] ?? '';
        $revision->update(['name' => $name]);

        return back()->with('said', $name === '' ? "Revision {$number} has no name any more." : "Revision {$number} is called {$name}.");
    }

    /** Whether old revisions are thinned out, as whoever manages it says. */
    public function thins(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('manage', $rig);
        $rig->update(['thins' => $request->boolean('thins')]);
        ThinRig::ask($rig);

        return back()->with('said', $rig->thins ? 'Old revisions are thinned out from now on.' : 'Every revision is kept from now on.');
    }

    public function history(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);

        return view('rigs.history', [
            'page' => new RigPage($rig, 'history', $request),
            'list' => new RevisionList($rig),
        ]);
    }

    /**
     * To a page that sent it by itself, what was done, with the page drawn anew, or why not; to a plain form, the page that it came from.
     *
     * What a change does in situations that the page does not show takes longer to tell: a page that reads lines gets it in a second one.
     *
     * @param  callable(): (MadeChange|string)  $do  does it; says what was done, or returns what can be reported of it
     */
    private function answer(Request $request, Rig $rig, callable $do): JsonResponse|RedirectResponse|StreamedResponse
    {
        $shown = $this->shown($request);
        $id = EditId::of($request, $rig);
        try {
            $made = $do();
            $said = is_string($made) ? $made : $made->told($shown);
            $more = fn (): string => is_string($made) ? '' : $made->toldElsewhere($shown);
            $isKept = is_string($made) || $said === $made->words;
        } catch (AlreadyMade $e) {
            [$said, $isKept] = [$e->edit->said, true];
            $more = fn (): string => $e->edit->more ?? '';
            $id = null;
        } catch (StaleEdit $e) {
            return $this->refusal($request, $e->getMessage(), 409);
        } catch (UnreadableRevision $e) {
            return $this->refusal($request, $e->getMessage(), 422);
        } catch (InvalidRig $e) {
            return $this->refusal(
                $request,
                'This can\'t be done: '.implode(
                    ' ',
                    array_map(fn (Problem $problem) => $problem->message, array_slice($e->problems, 0, 3)),
                ),
                422,
            );
        }
        if ($request->expectsJson() && $request->headers->has('X-Lines')) {
            $this->keep($id, $isKept ? [] : ['said' => $said]);
            $request->session()->now('said', $said);

            return $this->inLines(['said' => $said, 'page' => $this->drawn($request, $rig)], function () use ($id, $more): array {
                $elsewhere = $more();
                $this->keep($id, array_filter(['more' => $elsewhere]));

                return ['more' => $elsewhere];
            });
        }
        $elsewhere = $more();
        $this->keep($id, array_filter(['said' => $isKept ? '' : $said, 'more' => $elsewhere]));
        $said = implode(' · ', array_filter([$said, $elsewhere]));
        if ($request->expectsJson()) {
            $request->session()->now('said', $said);

            return response()->json(['said' => $said, 'page' => $this->drawn($request, $rig)]);
        }

        return back()->with('said', $said);
    }

    /**
     * Keeps what is answered with the edit's id, for one that asks again.
     *
     * @param  array<string, string>  $answer  what differs from what the edit has stored itself
     */
    private function keep(?string $id, array $answer): void
    {
        if ($id !== null && $answer !== []) {
            SentEdit::query()->whereKey($id)->update($answer);
        }
    }

    /**
     * An answer of two lines of JSON, the second sent when it is known.
     *
     * @param  array<string, mixed>  $now
     * @param  \Closure(): array<string, mixed>  $then
     */
    private function inLines(array $now, \Closure $then): StreamedResponse
    {
        return response()->stream(function () use ($now, $then): \Generator {
            yield json_encode($now, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)."\n";
            try {
                yield json_encode($then(), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)."\n";
            } catch (\Throwable $e) {
                // The change is made and reported: only its effects elsewhere are missing.
                report($e);
            }
        }, headers: ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store']);
    }

    /** The page drawn anew. The change is made by now: where the drawing fails, the page asks for itself again. */
    private function drawn(Request $request, Rig $rig): ?string
    {
        try {
            return $this->redrawing->of($rig, (string) $request->header('X-Page', ''), $request);
        } catch (\Throwable $e) {
            report($e);

            return null;
        }
    }

    private function refusal(Request $request, string $message, int $status): JsonResponse|RedirectResponse
    {
        return $request->expectsJson()
            ? response()->json(['message' => $message], $status)
            : back()->withErrors(['edit' => $message])->withInput();
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
