<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Deed;
use App\Models\Member;
use App\Models\MemberRole;
use App\Models\Opens;
use App\Models\Rig as Record;
use App\Models\Share;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** Who may come into a rig: its owner, its members, and links for people without an account, which only the owner sees. */
final readonly class People
{
    /** What was done that is listed. */
    private const DEEDS = 30;

    public bool $isOwner;

    public string $owner;

    /** @var Collection<int, Member> */
    public Collection $members;

    /** @var list<Share> */
    public array $shares;

    /** @var Collection<int, Deed> what was done about who may come in; only the owner sees it */
    public Collection $deeds;

    /** @param  array<int, string>  $days  that a link can hold, in words */
    public function __construct(Record $record, ?User $user, public array $days)
    {
        $this->isOwner = $user !== null && $record->user_id === $user->id;
        $this->owner = $record->user->name ?? '';
        $this->members = $record->members()->with('user:id,name,email')->orderBy('id')->get();
        $this->deeds = $this->isOwner ? Deed::at($record)->limit(self::DEEDS)->get() : new Collection;
        $this->shares = $this->isOwner ? array_values($record->shares()->orderBy('id')->get()->all()) : [];
    }

    /** What a member may do, in words. */
    public function standingOf(Member $member): string
    {
        return ($member->role === MemberRole::Edit ? 'may edit' : 'may look')
            .($member->accepted_at === null ? ', invited, not accepted yet' : '');
    }

    /** Since when a link holds, and for how long, in words. */
    public function termOf(Share $share): string
    {
        return ($share->opens === Opens::Labels ? 'codes on labels, ' : '').'made '.$share->created_at->toDateString().match (true) {
            $share->expires_at === null => '',
            $share->hasExpired() => ', expired',
            default => ', until '.$share->expires_at->format('Y-m-d H:i'),
        };
    }
}
