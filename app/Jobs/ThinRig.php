<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Rig;
use App\Rigs\ThinHistory;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;

/** Thins a rig's history out in the background, once a day at most. */
final class ThinRig implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    private const DAY = 86400;

    public function __construct(public readonly int $rig)
    {
    }

    /** Asks for it where the owner wants it, unless it was done today. */
    public static function ask(Rig $rig): void
    {
        if ($rig->thins && Cache::add("thinned:{$rig->id}", true, self::DAY)) {
            self::dispatch($rig->id);
        }
    }

    public function handle(): void
    {
        $rig = Rig::query()->find($this->rig);
        if ($rig !== null) {
            ThinHistory::of($rig);
        }
    }
}
