<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\MadeBook;
use App\Models\Rig;
use App\Models\ToneTake;
use App\Rigs\Pictures;
use App\Rigs\RigTransaction;

/**
 * Deletes a rig with all that hangs on it, its files too. Others write meanwhile: where two stand in each other's way, it is tried again.
 */
final readonly class DeleteRig
{
    public function __construct(private Pictures $pictures)
    {
    }

    public function __invoke(Rig $rig): void
    {
        RigTransaction::do(fn () => $rig->delete());
        $this->pictures->forget($rig->id);
        MadeBook::forget($rig->id);
        ToneTake::forget($rig->id);
    }
}
