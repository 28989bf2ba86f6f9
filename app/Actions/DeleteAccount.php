<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\MadeBook;
use App\Models\Rig;
use App\Models\ToneTake;
use App\Models\User;
use App\Rigs\Pictures;
use App\Rigs\RigTransaction;
use Illuminate\Support\Facades\DB;

/**
 * Ends an account: its rigs with their revisions and pictures, its own models, its sessions. What it did in rigs of others stays, without
 * its name.
 */
final readonly class DeleteAccount
{
    public function __construct(private Pictures $pictures)
    {
    }

    public function __invoke(User $user): void
    {
        $rigs = array_map(fn (Rig $rig) => $rig->id, array_values($user->rigs()->get()->all()));
        foreach (MadeBook::query()->where('user_id', $user->id)->get() as $book) {
            $book->delete();
        }
        RigTransaction::do(function () use ($user): void {
            DB::table('sessions')->where('user_id', $user->id)->delete();
            $user->delete();
        });
        foreach ($rigs as $rig) {
            $this->pictures->forget($rig);
            MadeBook::forget($rig);
            ToneTake::forget($rig);
        }
    }
}
