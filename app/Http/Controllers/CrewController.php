<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Invite;
use App\Actions\LeaveCrew;
use App\Http\Requests\InviteRequest;
use App\Limits\Limits;
use App\Models\Crew;
use App\Models\CrewMember;
use App\Models\Deed;
use App\Models\MemberRole;
use App\Models\User;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;
use App\ViewModels\CrewPage;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Count;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Crews: people who own rigs together, and what each may do with them. */
final class CrewController
{
    private const LAST = 'Somebody has to manage the crew. Give another person the role manage first.';

    public function index(Request $request): View
    {
        $user = $this->user($request);

        return view('crews.index', [
            'crews' => $user->crews()->withCount(['rigs', 'members' => fn ($members) => $members->whereNotNull('accepted_at')])->get(),
            'limit' => Limits::crews($user),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $name = self::name($request);
        $user = $this->user($request);
        $limit = Limits::crews($user);
        if (! $limit->has()) {
            return back()->withErrors(['name' => $limit->refusal()])->withInput();
        }
        $crew = RigTransaction::do(function () use ($name, $user): Crew {
            $crew = Crew::query()->create(['name' => $name]);
            $crew->members()->create(['user_id' => $user->id, 'role' => MemberRole::Manage, 'accepted_at' => now()]);
            Deed::note("Began the crew {$name}.", $user, crew: $crew);

            return $crew;
        });

        return redirect()->route('crews.show', $crew)->with('said', "The crew {$name} is there. Invite its people next.");
    }

    public function show(Request $request, Crew $crew): View
    {
        Gate::authorize('view', $crew);

        return view('crews.show', ['page' => new CrewPage($crew, $this->user($request))]);
    }

    public function rename(Request $request, Crew $crew): RedirectResponse
    {
        Gate::authorize('manage', $crew);
        $name = self::name($request);
        Deed::note("Called the crew {$crew->name} {$name}.", $request->user(), crew: $crew);
        $crew->update(['name' => $name]);

        return back()->with('said', "The crew is called {$name} now.");
    }

    /** Only without rigs: whoever ends it says first whose they are. */
    public function destroy(Request $request, Crew $crew): RedirectResponse
    {
        Gate::authorize('manage', $crew);
        $left = RigTransaction::do(function () use ($crew): int {
            RowLock::crew($crew->id);
            $left = $crew->rigs()->count();
            if ($left === 0) {
                $crew->delete();
            }

            return $left;
        });
        if ($left > 0) {
            return back()->withErrors(['crew' => 'The crew owns '.Count::of($left, 'rig').'. Hand them over or delete them first.']);
        }
        Deed::note("Ended the crew {$crew->name}.", $request->user(), crew: $crew);

        return redirect()->route('crews.index')->with('said', "The crew {$crew->name} is no more.");
    }

    public function invite(InviteRequest $request, Crew $crew, Invite $invite): RedirectResponse
    {
        $email = $request->email();
        $member = $crew->members()->whereNotNull('accepted_at')->whereRelation('user', 'email', $email)->first();
        if ($member !== null) {
            return $this->changed($request, $crew, $member, $request->role());
        }

        return back()->with('said', $invite($this->user($request), $crew, $email, $request->role()));
    }

    public function role(Request $request, Crew $crew, CrewMember $member): RedirectResponse
    {
        Gate::authorize('manage', $crew);
        $role = $request->validate(['role' => ['required', Rule::enum(MemberRole::class)]])['role'];

        return $this->changed($request, $crew, $member, MemberRole::from($role));
    }

    public function remove(Request $request, Crew $crew, CrewMember $member, LeaveCrew $leave): RedirectResponse
    {
        Gate::authorize('manage', $crew);
        $member->load('user');
        if (! $leave($crew, $member)) {
            return back()->withErrors(['crew' => self::LAST]);
        }
        Deed::note("Removed {$member->user?->name} from the crew {$crew->name}.", $request->user(), whom: $member->user, crew: $crew);

        return back()->with('said', 'They can\'t see the rigs of this crew any more.');
    }

    public function leave(Request $request, Crew $crew, LeaveCrew $leave): RedirectResponse
    {
        Gate::authorize('view', $crew);
        if (! $leave($crew, $crew->members()->where('user_id', $this->user($request)->id)->firstOrFail())) {
            return back()->withErrors(['crew' => self::LAST]);
        }
        Deed::note("Left the crew {$crew->name}.", $request->user(), crew: $crew);

        return redirect()->route('crews.index')->with('said', "You have left the crew {$crew->name}.");
    }

    public function accept(Request $request, int $invitation): RedirectResponse
    {
        $member = $this->invitation($request, $invitation);
        $member->update(['accepted_at' => now()]);
        Deed::note("Joined the crew {$member->crew?->name}.", $request->user(), crew: $member->crew);

        return redirect()->route('rigs.index', ['crew' => $member->crew_id])->with('said', "You are in the crew {$member->crew?->name}.");
    }

    public function decline(Request $request, int $invitation): RedirectResponse
    {
        $this->invitation($request, $invitation)->delete();

        return redirect()->route('rigs.index')->with('said', 'Invitation declined.');
    }

    private function changed(Request $request, Crew $crew, CrewMember $member, MemberRole $role): RedirectResponse
    {
        $member->load('user');
        if (! app(LeaveCrew::class)($crew, $member, $role)) {
            return back()->withErrors(['crew' => self::LAST]);
        }
        $words = "{$member->user?->name} may {$role->may('the rigs of the crew')} now.";
        Deed::note("In the crew {$crew->name}: {$words}", $request->user(), whom: $member->user, crew: $crew);

        return back()->with('said', $words);
    }

    private function invitation(Request $request, int $id): CrewMember
    {
        return $this->user($request)->crewInvitations()->with('crew')->whereKey($id)->first() ?? abort(404);
    }

    private static function name(Request $request): string
    {
        return $request->validate(['name' => ['required', 'string', 'max:'.Bounds::SHORT_NAME]])['name'];
    }

    private function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
