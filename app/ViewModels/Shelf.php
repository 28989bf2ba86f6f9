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

    private const INVITATIONS = 20;

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

    /** @var list<Crew> the crews that somebody is in, by name */
    public array $crews;

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
        $memberships = $user->crewMemberships()->with('crew:id,name')->latest('id')->get();
        $joined = $memberships->filter(fn (CrewMember $one) => $one->accepted_at !== null && $one->crew !== null);
        $this->crewInvitations = $memberships->filter(fn (CrewMember $one) => $one->accepted_at === null)->take(self::INVITATIONS);
        $crews = array_filter(array_map(fn (CrewMember $one) => $one->crew, array_values($joined->all())));
        usort($crews, fn (Crew $a, Crew $b) => $a->name <=> $b->name);
        $this->crews = $crews;
        $shown = $joined->firstWhere('crew_id', (int) ($asked['crew'] ?? ''));
        $this->crew = $shown?->crew;
        $this->mayBegin = $shown === null || $shown->role->covers(MemberRole::Edit);
        $managed = $joined->where('role', MemberRole::Manage)->pluck('crew_id')->all();
        $seen = self::query($user, $this->crew, array_values($joined->pluck('crew_id')->all()));
        $this->count = (clone $seen)->count();
        $this->rigs = self::paged($seen->with(['user:id,name', 'crew:id,name',
            'members' => fn ($members) => $members->where('user_id', $user->id)->whereNotNull('accepted_at'),
            'layouts' => fn ($layouts) => $layouts->where('depth', MapDepth::Cables->value)]), $this->crew);
        $standings = self::standings($this->rigs->items());
        $this->cards = array_values(array_map(fn (Rig $rig) => new RigCard(
            $rig,
            $standings[$rig->id] ?? null,
            $rig->crew_id === null ? $rig->user_id === $user->id : in_array($rig->crew_id, $managed, true),
        ), $this->rigs->items()));
        $this->invitations = $user->invitations()->with('rig:id,name,user_id,crew_id', 'rig.user:id,name', 'rig.crew:id,name')->latest('id')
            ->limit(self::INVITATIONS)->get();
        $limits = [Limits::rigs($this->crew ?? $user), Limits::imports($user)];
        $this->limits = array_values(array_filter($limits, fn (Limit $one) => $one->isNear()));
        $this->like = $this->rigs->onFirstPage() && $this->mayBegin
            ? new LikeMine(StarterCard::all($starters), $asked, $asked['like'] ?? '') : null;
    }

    /**
     * The page that is asked for: it begins behind a rig, however many come before that.
     *
     * @return CursorPaginator<int, Rig>
     */
    public static function page(User $user, ?Crew $crew = null): CursorPaginator
    {
        return self::paged(self::query($user, $crew), $crew);
    }

    /**
     * @param  Builder<Rig>  $rigs
     * @return CursorPaginator<int, Rig>
     */
    private static function paged(Builder $rigs, ?Crew $crew): CursorPaginator
    {
        return $rigs->latest('rigs.updated_at')->latest('rigs.id')->cursorPaginate(self::PER_PAGE)
            ->appends($crew === null ? [] : ['crew' => (string) $crew->id]);
    }

    /** The crew of an address; null for all rigs, also where somebody is not in it any more. */
    public static function crew(User $user, string $asked): ?Crew
    {
        return $asked === '' ? null : $user->crews()->whereKey((int) $asked)->first();
    }

    /**
     * @param  list<int>|null  $crews  the numbers of somebody's crews, where they are known
     * @return Builder<Rig>
     */
    private static function query(User $user, ?Crew $crew, ?array $crews = null): Builder
    {
        return $crew === null ? $user->visibleRigs($crews) : Rig::query()->where('rigs.crew_id', $crew->id);
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
