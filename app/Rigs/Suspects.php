<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig as Record;
use HiddenWire\Core\Finder\SuspectTable;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use Illuminate\Support\Facades\Cache;

/** What each possible fault of a rig would do in a situation: heard once for a state of it, after a page has been shown, and kept. */
final class Suspects
{
    private const SECONDS = 3600;

    /** Nobody waits longer; of a large rig the first faults are heard then. */
    private const PATIENCE = 20.0;

    /** How far it is, is said after so many faults, and known for so many seconds. */
    private const TOLD_EACH = 10;

    private const UNDER_WAY = 60;

    /** @return array{int, int}|null how many faults are heard and how many there are, while that is under way */
    public static function at(Record $at, Situation $situation): ?array
    {
        $told = Cache::get(self::key($at, $situation).':at');

        return is_array($told) && is_int($told[0] ?? null) && is_int($told[1] ?? null) ? [$told[0], $told[1]] : null;
    }

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
        $table = SuspectTable::of($plan, $situation->id, function (int $heard, int $all) use ($at, $situation, $until): bool {
            if ($heard % self::TOLD_EACH === 0) {
                Cache::put(self::key($at, $situation).':at', [$heard, $all], self::UNDER_WAY);
            }

            return microtime(true) < $until;
        });
        Packed::put(self::key($at, $situation), $table, self::SECONDS);

        return $table;
    }

    private static function key(Record $at, Situation $situation): string
    {
        return 'suspects:'.StoredRig::stateOf($at).":{$situation->id}";
    }
}
