<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Limits\Limit;
use App\Limits\Limits;
use App\Models\Member;
use App\Models\Revision;
use App\Models\Rig;
use App\Models\User;
use App\Rigs\Starters;
use HiddenWire\Core\Rig\Problem;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Pagination\CursorPaginator;

/** The Rigs page: a person's rigs, a page of them at a time, invitations that wait, and the starters. */
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

    /** The starters by what somebody has; on the first page. */
    public ?LikeMine $like;

    /**
     * @param  list<Problem>  $problems  why a document was not imported; none where none was refused
     * @param  array<string, string>  $asked  what somebody has: see {@see LikeMine}
     */
    public function __construct(User $user, Starters $starters, public array $problems = [], array $asked = [])
    {
        $this->rigs = self::page($user, ['user:id,name', 'layouts' => fn ($layouts) => $layouts->where('depth', MapDepth::Cables->value)]);
        $this->count = $user->visibleRigs()->count();
        $standings = self::standings($this->rigs->items());
        $this->cards = array_map(fn (Rig $rig) => new RigCard($rig, $standings[$rig->id] ?? null), array_values($this->rigs->items()));
        $this->invitations = $user->invitations()->with('rig:id,name,user_id', 'rig.user:id,name')->latest('id')->limit(20)->get();
        $this->limits = array_values(array_filter([Limits::rigs($user), Limits::imports($user)], fn (Limit $one) => $one->isNear()));
        $this->like = $this->rigs->onFirstPage() ? new LikeMine(StarterCard::all($starters), $asked, $asked['like'] ?? '') : null;
    }

    /**
     * The page that is asked for: it begins behind a rig, however many come before that.
     *
     * @param  array<array-key, string|\Closure>  $with  relations
     * @return CursorPaginator<int, Rig>
     */
    public static function page(User $user, array $with = []): CursorPaginator
    {
        return $user->visibleRigs()->with($with)->latest('rigs.updated_at')->latest('rigs.id')->cursorPaginate(self::PER_PAGE);
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
