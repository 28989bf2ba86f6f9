<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\Crew;
use App\Models\CrewMember;
use App\Models\Deed;
use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** A crew: its people with their roles, its latest rigs, and, for those who manage it, what was done about who is in it. */
final readonly class CrewPage
{
    /** Rigs that are named here; the Rigs page has all. */
    private const RIGS = 12;

    private const DEEDS = 30;

    public bool $mayManage;

    /** @var Collection<int, CrewMember> */
    public Collection $members;

    /** @var Collection<int, Rig> */
    public Collection $rigs;

    public int $count;

    /** @var Collection<int, Deed> */
    public Collection $deeds;

    public function __construct(public Crew $crew, User $user)
    {
        $this->mayManage = $crew->roleOf($user) === MemberRole::Manage;
        $this->members = $crew->members()->with('user:id,name,email')->orderBy('id')->get();
        $this->rigs = $crew->rigs()->latest('updated_at')->latest('id')->limit(self::RIGS)->get(['id', 'name', 'updated_at']);
        $this->count = $crew->rigs()->count();
        $this->deeds = $this->mayManage ? Deed::in($crew)->limit(self::DEEDS)->get() : new Collection;
    }
}
