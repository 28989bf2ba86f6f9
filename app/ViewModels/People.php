<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Crew;
use App\Models\CrewMember;
use App\Models\Deed;
use App\Models\Member;
use App\Models\MemberRole;
use App\Models\Opens;
use App\Models\Rig as Record;
use App\Models\Share;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Gate;

/** Who may come into a rig: its owner, its members, and links for people without an account, which only those see who manage it. */
final readonly class People
{
    /** What was done that is listed. */
    private const DEEDS = 30;

    /** Whether whoever looks says who may come in. */
    public bool $mayManage;

    /** Whether whoever looks may hand it over. */
    public bool $isOwner;

    public string $owner;

    /** The crew that owns it. */
    public ?Crew $crew;

    /** Whether whoever looks is in that crew. */
    public bool $isInCrew;

    /** @var Collection<int, Member> */
    public Collection $members;

    /** @var Collection<int, CrewMember> those who are in by its crew */
    public Collection $crewMembers;

    /** @var array<array-key, string> to whom it can be handed over, by what a form sends */
    public array $others;

    /** @var list<Share> */
    public array $shares;

    /** @var Collection<int, Deed> what was done about who may come in; only those who manage it see it */
    public Collection $deeds;

    /** @param  array<int, string>  $days  that a link can hold, in words */
    public function __construct(Record $record, ?User $user, public array $days)
    {
        $this->mayManage = $user !== null && $record->allows($user, MemberRole::Manage);
        $this->isOwner = $user !== null && Gate::forUser($user)->allows('own', $record);
        $this->crew = $record->crew;
        $this->isInCrew = $user !== null && $this->crew?->roleOf($user) !== null;
        $this->owner = $record->owner()->name ?? '';
        $this->members = $record->members()->with('user:id,name,email')->orderBy('id')->get();
        $this->crewMembers = $this->crew === null ? new Collection
            : $this->crew->members()->whereNotNull('accepted_at')->with('user:id,name')->orderBy('id')->get();
        $this->others = $this->isOwner && $user !== null ? $this->others($record, $user) : [];
        $this->deeds = $this->mayManage ? Deed::at($record)->limit(self::DEEDS)->get() : new Collection;
        $this->shares = $this->mayManage ? array_values($record->shares()->orderBy('id')->get()->all()) : [];
    }

    /** @return array<array-key, string> */
    private function others(Record $record, User $user): array
    {
        $others = $record->user_id === $user->id ? [] : ['me' => 'my account'];
        foreach ($user->crews(MemberRole::Edit)->get() as $crew) {
            if ($crew->id !== $record->crew_id) {
                $others[$crew->id] = "the crew {$crew->name}";
            }
        }

        return $others;
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
