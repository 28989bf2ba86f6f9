<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Limits\Limit;
use App\Limits\Limits;
use App\Models\Crew;
use App\Models\CrewMember;
use App\Models\Member;
use App\Models\MemberRole;
use App\Models\Revision;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Starters;
use HiddenWire\Core\Rig\Problem;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Pagination\CursorPaginator;

/** The Rigs page: rigs that a person may see, all or those of a crew, a page of them at a time, invitations that wait, and the starters. */
final readonly class Shelf
{
    public const PER_PAGE = 50;

    /** @var CursorPaginator<int, Rig> by when they were changed, the latest first */
    public CursorPaginator $rigs;

    /** How many rigs there are on all pages. */
    public int $count;

    /** @var list<RigCard> */
    public array $cards;

    /** @var Collection<int, Member> */
    public Collection $invitations;

    /** @var list<Limit> limits that somebody comes near */
    public array $limits;

    /** @var Collection<int, CrewMember> */
    public Collection $crewInvitations;

    /** @var Collection<int, Crew> the crews that somebody is in */
    public Collection $crews;

    /** The crew whose rigs alone are shown; null for all that somebody may see. */
    public ?Crew $crew;

    /** Whether new rigs can be begun here. */
    public bool $mayBegin;

    /** The starters by what somebody has; on the first page. */
    public ?LikeMine $like;

    /**
     * @param  list<Problem>  $problems  why a document was not imported; none where none was refused
     * @param  array<string, string>  $asked  what somebody has: see {@see LikeMine}
     */
    public function __construct(User $user, Starters $starters, public array $problems = [], array $asked = [])
    {
        $this->crew = self::crew($user, $asked['crew'] ?? '');
        $this->mayBegin = $this->crew === null || $this->crew->roleOf($user)?->covers(MemberRole::Edit) === true;
        $this->crews = $user->crews()->get();
        $this->rigs = self::page($user, $this->crew, ['user:id,name', 'crew:id,name',
            'members' => fn ($members) => $members->where('user_id', $user->id)->whereNotNull('accepted_at'),
            'layouts' => fn ($layouts) => $layouts->where('depth', MapDepth::Cables->value)]);
        $this->count = self::query($user, $this->crew)->count();
        $managed = $user->crews(MemberRole::Manage)->pluck('id')->all();
        $standings = self::standings($this->rigs->items());
        $this->cards = array_values(array_map(fn (Rig $rig) => new RigCard(
            $rig,
            $standings[$rig->id] ?? null,
            $rig->crew_id === null ? $rig->user_id === $user->id : in_array($rig->crew_id, $managed, true),
        ), $this->rigs->items()));
        $this->invitations = $user->invitations()->with('rig:id,name,user_id,crew_id', 'rig.user:id,name', 'rig.crew:id,name')->latest('id')
            ->limit(20)->get();
        $this->crewInvitations = $user->crewInvitations()->with('crew:id,name')->latest('id')->limit(20)->get();
        $limits = [Limits::rigs($this->crew ?? $user), Limits::imports($user)];
        $this->limits = array_values(array_filter($limits, fn (Limit $one) => $one->isNear()));
        $this->like = $this->rigs->onFirstPage() && $this->mayBegin
            ? new LikeMine(StarterCard::all($starters), $asked, $asked['like'] ?? '') : null;
    }

    /**
     * The page that is asked for: it begins behind a rig, however many come before that.
     *
     * @param  array<array-key, string|\Closure>  $with  relations
     * @return CursorPaginator<int, Rig>
     */
    public static function page(User $user, ?Crew $crew = null, array $with = []): CursorPaginator
    {
        return self::query($user, $crew)->with($with)->latest('rigs.updated_at')->latest('rigs.id')->cursorPaginate(self::PER_PAGE)
            ->appends($crew === null ? [] : ['crew' => (string) $crew->id]);
    }

    /** The crew of an address; null for all rigs, also where somebody is not in it any more. */
    public static function crew(User $user, string $asked): ?Crew
    {
        return $asked === '' ? null : $user->crews()->whereKey((int) $asked)->first();
    }

    /** @return Builder<Rig> */
    private static function query(User $user, ?Crew $crew): Builder
    {
        return $crew === null ? $user->visibleRigs() : Rig::query()->where('rigs.crew_id', $crew->id);
    }

    /** Whether the page has to ask for the counts of some. */
    public function isIncomplete(): bool
    {
        return array_filter($this->cards, fn (RigCard $card) => ! $card->isKnown) !== [];
    }

    /**
     * @param  array<array-key, Rig>  $rigs
     * @return array<int, Revision> the revisions that they are at, without documents, by rig
     */
    public static function standings(array $rigs): array
    {
        if ($rigs === []) {
            return [];
        }
        $pairs = array_map(fn (Rig $rig) => [$rig->id, $rig->at], array_values($rigs));

        return Revision::query()->select(['rig_id', 'number', 'counts', 'units', 'cables', 'build'])
            ->whereRaw('(rig_id, number) IN ('.implode(', ', array_fill(0, count($pairs), '(?, ?)')).')', array_merge(...$pairs))
            ->get()->keyBy('rig_id')->all();
    }
}
