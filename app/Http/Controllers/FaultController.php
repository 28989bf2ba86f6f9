<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Rig;
use App\Rigs\StoredRig;
use App\Rigs\Suspects;
use App\ViewModels\FaultAnswers;
use App\ViewModels\FaultPage;
use App\ViewModels\RigPage;
use HiddenWire\Core\Bench\Impression;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The search for a fault of the real rig. Nothing is kept of it: what is known is in the address, and can be sent to somebody else. */
final class FaultController
{
    /** No seed of a simulated room is larger. */
    private const SEEDS = 9999;

    public function index(Request $request, Rig $rig): View|RedirectResponse
    {
        Gate::authorize('view', $rig);
        $page = new RigPage($rig, 'bench', $request);
        $answers = FaultAnswers::read($request->string('known')->toString());
        $seed = max(0, min(self::SEEDS, $request->integer('room')));
        $table = Suspects::known($rig, $page->situation);
        $since = $rig->revisions()->where('number', $request->integer('since'))->first();
        $faults = new FaultPage($page, $table, $answers, $seed, $since, $request->boolean('follow'));
        $said = Impression::tryFrom($request->string('said')->toString());
        if ($said !== null) {
            // What somebody says is from here on in the address.
            [$source, $listener] = [$request->string('source')->toString(), $request->string('listener')->toString()];
            abort_unless(isset($page->rig->sources[$source], $page->rig->listeners[$listener]), 404);

            return redirect()->to($faults->url($answers->with("hear {$source} {$listener}", $said->value)));
        }

        $check = $request->string('check')->toString();
        if ($check !== '') {
            return redirect()->to($faults->askedUrl($check) ?? abort(404));
        }

        return view('rigs.faults', ['page' => $page, 'faults' => $faults]);
    }

    /** How far that is, for the page that waits for it. */
    public function progress(Request $request, Rig $rig): JsonResponse
    {
        Gate::authorize('view', $rig);
        $situation = StoredRig::load($rig)->situations[$request->string('situation')->toString()] ?? abort(404);
        $at = Suspects::at($rig, $situation);

        return response()->json(['says' => $at === null ? '' : "{$at[0]} of {$at[1]} faults are tried on the plan …"]);
    }

    /** Hears what each possible fault would do: a page asks for it once it is shown, and is drawn anew. */
    public function hear(Request $request, Rig $rig): JsonResponse
    {
        Gate::authorize('view', $rig);
        $stored = StoredRig::load($rig);
        $situation = $stored->situations[$request->string('situation')->toString()] ?? abort(404);

        return response()->json(['heard' => Suspects::of($rig, $stored, $situation)->heard]);
    }
}
