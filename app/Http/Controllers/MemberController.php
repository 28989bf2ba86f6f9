<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Deed;
use App\Models\Member;
use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\User;
use App\ViewModels\People;
use App\ViewModels\RigPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Who may come into a rig, and who is in it now. */
final class MemberController
{
    /** A page that has not said that it is open for this long is taken as closed, in seconds. */
    private const AWAY_AFTER = 20;

    public function index(Request $request, Rig $rig): View
    {
        Gate::authorize('view', $rig);

        return view(
            'rigs.people',
            [
                'page' => new RigPage($rig, 'people', $request),
                'people' => new People($rig, $request->user(), ShareController::DAYS),
            ],
        );
    }

    public function store(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('own', $rig);
        $fields = $request->validate([
            'email' => ['required', 'string', 'email', 'max:190'],
            'role' => ['required', Rule::enum(MemberRole::class)],
        ]);
        $email = mb_strtolower($fields['email']);
        if ($email === $rig->user?->email) {
            return back()->withErrors(['email' => 'This rig is yours already.'])->withInput();
        }
        $user = User::query()->where('email', $email)->first();
        $may = MemberRole::from($fields['role']) === MemberRole::Edit ? 'edit' : 'look at';
        Deed::note("Invited {$email} to {$may} {$rig->name}.", $request->user(), $rig, $user);
        $member = $user === null ? null : $rig->members()->updateOrCreate(['user_id' => $user->id], ['role' => $fields['role']]);

        // Whether somebody has an account here is nobody else's business, unless they are in the rig already.
        return back()->with('said', $user !== null && $member?->accepted_at !== null
            ? "{$user->name} may ".($fields['role'] === 'edit' ? 'edit' : 'look at').' this rig now.'
            : "Invited. If {$email} has an account here, the invitation waits in their list of rigs.");
    }

    /** Takes an invitation up: from now on the rig is in the list. */
    public function accept(Request $request, int $invitation): RedirectResponse
    {
        $member = $this->invitation($request, $invitation);
        $member->update(['accepted_at' => now()]);
        Deed::note("Took up the invitation to {$member->rig?->name}.", $request->user(), $member->rig);

        return redirect()->route('rigs.index')->with('said', "{$member->rig?->name} is in your list.");
    }

    public function decline(Request $request, int $invitation): RedirectResponse
    {
        $this->invitation($request, $invitation)->delete();

        return redirect()->route('rigs.index')->with('said', 'Invitation declined.');
    }

    /** Leaves a rig of somebody else. */
    public function leave(Request $request, Rig $rig): RedirectResponse
    {
        Gate::authorize('view', $rig);
        $rig->members()->where('user_id', ($request->user() ?? abort(401))->id)->delete();

        Deed::note("Left {$rig->name}.", $request->user(), $rig);

        return redirect()->route('rigs.index')->with('said', "You have left {$rig->name}.");
    }

    private function invitation(Request $request, int $id): Member
    {
        return ($request->user() ?? abort(401))->invitations()->with('rig')->whereKey($id)->first() ?? abort(404);
    }

    public function destroy(Request $request, Rig $rig, Member $member): RedirectResponse
    {
        Gate::authorize('own', $rig);
        $member->load('user');
        $member->delete();
        Deed::note("Removed {$member->user?->name} from {$rig->name}.", $request->user(), $rig, $member->user);

        return back()->with('said', 'They can\'t see this rig any more.');
    }

    /** A page that is open says so, and hears who else is here and what has changed since it was made. */
    public function pulse(Request $request, Rig $rig): JsonResponse
    {
        Gate::authorize('view', $rig);
        $user = $request->user() ?? abort(401);
        $rig->presences()->updateOrCreate(
            ['user_id' => $user->id],
            ['view' => mb_strimwidth($request->string('view')->toString(), 0, 20), 'seen_at' => now()],
        );
        $here = $rig->presences()->with('user:id,name')
            ->where('user_id', '!=', $user->id)
            ->where('seen_at', '>', now()->subSeconds(self::AWAY_AFTER))
            ->get();
        $seen = $request->integer('revision');
        $since = $rig->revision === $seen ? [] : $rig->revisions()->with('user:id,name')->latest('number')
            ->limit(max(1, min(5, $rig->revision - $seen)))->get()
            ->map(fn ($revision) => ['who' => $revision->user->name ?? 'Somebody', 'what' => $revision->what])->all();

        return response()->json([
            'revision' => $rig->revision,
            'here' => $here->map(fn ($one) => ['name' => $one->user->name, 'view' => $one->view])->values(),
            'since' => $since,
        ]);
    }
}
