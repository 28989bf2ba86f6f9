<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Invite;
use App\Http\Requests\InviteRequest;
use App\Models\Deed;
use App\Models\Member;
use App\Models\MemberRole;
use App\Models\Rig;
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

    public function store(InviteRequest $request, Rig $rig, Invite $invite): RedirectResponse
    {
        $user = $request->user() ?? abort(401);
        if ($request->email() === $rig->user?->email) {
            $says = $rig->user_id === $user->id ? 'This rig is yours already.' : 'This rig is theirs already.';

            return back()->withErrors(['email' => $says])->withInput();
        }

        return back()->with('said', $invite($user, $rig, $request->email(), $request->role()));
    }

    public function role(Request $request, Rig $rig, Member $member): RedirectResponse
    {
        Gate::authorize('manage', $rig);
        $role = MemberRole::from($request->validate(['role' => ['required', Rule::enum(MemberRole::class)]])['role']);
        $member->load('user')->update(['role' => $role]);
        $words = "{$member->user?->name} may {$role->may('this rig')} now.";
        Deed::note("At {$rig->name}: {$words}", $request->user(), $rig, $member->user);

        return back()->with('said', $words);
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
        Gate::authorize('manage', $rig);
        $member->load('user');
        $member->delete();
        Deed::note("Removed {$member->user?->name} from {$rig->name}.", $request->user(), $rig, $member->user);

        // Whoever is also in its crew sees it as before.
        $stays = $member->user !== null && $rig->roleOf($member->user) !== null;

        return back()->with('said', $stays
            ? "{$member->user->name} is in this rig by its crew only now." : 'They can\'t see this rig any more.');
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
