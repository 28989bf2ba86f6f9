<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Crew;
use App\Models\CrewMember;
use App\Models\Deed;
use App\Models\MadeBook;
use App\Models\MemberRole;
use App\Models\Rig;
use App\Models\ToneTake;
use App\Models\User;
use App\Rigs\Pictures;
use App\Rigs\RigTransaction;
use App\Rigs\RowLock;
use Illuminate\Support\Facades\DB;

/**
 * Ends an account: its rigs with their revisions and pictures, its own models, its sessions. What it did in rigs of others stays, without
 * its name. Rigs of a crew stay with it: where nobody would manage it, whoever is in it longest among those of the highest role does
 * then. A crew that has nobody else ends, and its rigs with it.
 */
final readonly class DeleteAccount
{
    public function __construct(private Pictures $pictures)
    {
    }

    public function __invoke(User $user): void
    {
        $alone = self::crewsAlone($user);
        $crews = array_map(fn (Crew $crew) => $crew->id, $alone);
        $rigs = array_values(array_map(intval(...), [
            ...$user->rigs()->pluck('id')->all(), ...Rig::query()->whereIn('crew_id', $crews)->pluck('id')->all(),
        ]));
        foreach (MadeBook::query()->where('user_id', $user->id)->get() as $book) {
            $book->delete();
        }
        RigTransaction::do(function () use ($user): void {
            DB::table('sessions')->where('user_id', $user->id)->delete();
            foreach ($user->crews(MemberRole::Manage)->get() as $crew) {
                RowLock::crew($crew->id);
                self::handOn($crew, $user);
            }
            foreach (self::crewsAlone($user) as $crew) {
                $crew->rigs()->delete();
                $crew->delete();
            }
            $user->delete();
        });
        foreach ($rigs as $rig) {
            $this->pictures->forget($rig);
            MadeBook::forget($rig);
            ToneTake::forget($rig);
        }
    }

    /** @return list<Crew> those that have nobody else */
    public static function crewsAlone(User $user): array
    {
        $others = CrewMember::query()->select('crew_id')->where('user_id', '!=', $user->id)->whereNotNull('accepted_at');

        return array_values($user->crews()->whereNotIn('id', $others)->get()->all());
    }

    /** Where nobody else manages a crew, somebody of it does from now on. */
    private static function handOn(Crew $crew, User $from): void
    {
        $others = $crew->members()->where('user_id', '!=', $from->id)->whereNotNull('accepted_at')->with('user')
            ->orderBy('accepted_at')->orderBy('id')->get();
        $highest = MemberRole::highest(array_values($others->pluck('role')->all()));
        if ($highest === null || $highest === MemberRole::Manage) {
            return;
        }
        $next = $others->firstOrFail(fn (CrewMember $member) => $member->role === $highest);
        $next->update(['role' => MemberRole::Manage]);
        $what = "{$next->user?->name} manages the crew {$crew->name} now: {$from->name}'s account is deleted.";
        Deed::note($what, null, whom: $next->user, crew: $crew);
    }
}
