<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRig;
use App\Actions\StaleEdit;
use App\Http\Requests\EditRequest;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\StoredRig;
use App\ViewModels\RigPage;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Changes of a rig from its pages, and its history. Each answers with the page that it came from. */
final class EditController
{
    public function store(EditRequest $request, Rig $rig, ChangeRig $change): RedirectResponse
    {
        Gate::authorize('update', $rig);
        $content = StoredRig::load($rig);
        $edits = $request->edits($content);

        return $this->answer(function () use ($change, $rig, $request, $edits, $content): string {
            $change->make($rig, $this->user($request), $edits, $request->integer('revision'));

            return implode('; ', array_map(fn ($edit) => $edit->words($content), $edits));
        });
    }

    public function undo(Request $request, Rig $rig, ChangeRig $change): RedirectResponse
    {
        Gate::authorize('update', $rig);

        return $this->answer(function () use ($change, $rig, $request): string {
            $what = $change->undo($rig, $request->integer('revision'));

            return $what === null ? 'There is nothing to undo.' : "Undone: {$what}";
        });
    }

    public function redo(Request $request, Rig $rig, ChangeRig $change): RedirectResponse
    {
        Gate::authorize('update', $rig);

        return $this->answer(function () use ($change, $rig, $request): string {
            $what = $change->redo($rig, $request->integer('revision'));

            return $what === null ? 'There is nothing to redo.' : "Done again: {$what}";
        });
    }

    public function restore(Request $request, Rig $rig, int $number, ChangeRig $change): RedirectResponse
    {
        Gate::authorize('update', $rig);
        abort_unless($rig->revisions()->where('number', $number)->exists(), 404);

        return $this->answer(function () use ($change, $rig, $request, $number): string {
            $change->restore($rig, $this->user($request), $number, $request->integer('revision'));

            return "Revision {$number} is back.";
        });
    }

    public function history(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);

        return view('rigs.history', [
            'page' => new RigPage($rig, 'history', $request),
            'revisions' => $rig->revisions()->select(['id', 'rig_id', 'number', 'parent', 'user_id', 'what', 'created_at'])->with('user:id,name')->latest('number')->paginate(50),
        ]);
    }

    /** @param  callable(): string  $do  says what was done */
    private function answer(callable $do): RedirectResponse
    {
        try {
            return back()->with('said', $do());
        } catch (StaleEdit $e) {
            return back()->withErrors(['edit' => $e->getMessage()]);
        } catch (InvalidRig $e) {
            return back()->withErrors(['edit' => 'This can\'t be done: '.implode(' ', array_map(fn (Problem $problem) => $problem->message, array_slice($e->problems, 0, 3)))]);
        }
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
