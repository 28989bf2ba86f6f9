<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig as Record;
use HiddenWire\Core\Finder\SuspectTable;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;

/** What each possible fault of a rig would do in a situation: heard once for a state of it, after a page has been shown, and kept. */
final class Suspects
{
    private const SECONDS = 3600;

    /** Nobody waits longer; of a large rig the first faults are heard then. */
    private const PATIENCE = 20.0;

    /** Null where nobody has listened yet. */
    public static function known(Record $at, Situation $situation): ?SuspectTable
    {
        $kept = Packed::get(self::key($at, $situation));

        return $kept instanceof SuspectTable ? $kept : null;
    }

    public static function of(Record $at, Rig $rig, Situation $situation): SuspectTable
    {
        $known = self::known($at, $situation);
        if ($known !== null) {
            return $known;
        }
        $until = microtime(true) + self::PATIENCE;
        $plan = new Hearings($rig, [$situation->id => Heard::in($rig, $situation, $at)]);
        $table = SuspectTable::of($plan, $situation->id, fn () => microtime(true) < $until);
        Packed::put(self::key($at, $situation), $table, self::SECONDS);

        return $table;
    }

    private static function key(Record $at, Situation $situation): string
    {
        return 'suspects:'.StoredRig::stateOf($at).":{$situation->id}";
    }
}
