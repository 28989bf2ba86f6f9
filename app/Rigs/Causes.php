<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Revision;
use App\Models\Rig as Record;
use HiddenWire\Core\Checks\Examination;
use HiddenWire\Core\Checks\Finding;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Rig\Rig;
use Illuminate\Support\Facades\Cache;

/**
 * The causes of what is not as wished in a rig, and what the checks find: looked for once for a state of it, after a page has been shown,
 * and kept.
 */
final class Causes
{
    /** Units times situations from which memory is cleaned up on the way. */
    private const CLEANED_FROM = 200;

    private const SECONDS = 86400;

    /** Earlier revisions that are looked into for how things were. */
    private const EARLIER = 3;

    /** Null where nobody has looked yet. */
    public static function known(Record $at): ?FoundCauses
    {
        $kept = Packed::get(self::key($at));

        return $kept instanceof FoundCauses ? $kept : null;
    }

    /** Whether somebody has looked. */
    public static function areKnown(Record $at): bool
    {
        return Cache::has(self::key($at));
    }

    public static function of(Record $at, Rig $rig): FoundCauses
    {
        return self::known($at) ?? self::found($at, $rig);
    }

    private static function found(Record $at, Rig $rig): FoundCauses
    {
        // Pages don't clean up after themselves, which is quicker; many trials would take too much without it.
        if (count($rig->units) * count($rig->situations) > self::CLEANED_FROM) {
            gc_enable();
        }
        $hearings = new Hearings($rig, array_map(fn ($situation) => Heard::in($rig, $situation, $at), $rig->situations));
        $all = Examination::of($hearings, $hearings->areAsWished() ? [] : self::earlier($at), CatalogueFiles::catalogue());
        $found = new FoundCauses(
            $all->causes,
            $all->cells,
            $all->untried,
            $all->findings,
            self::fresh($at, array_map(fn (Finding $one) => $one->evidence(), $all->findings)),
        );
        Packed::put(self::key($at), $found, self::SECONDS);

        return $found;
    }

    /**
     * What was not found when somebody last looked; nothing is new the first time.
     *
     * @param  list<string>  $evidence
     * @return list<string>
     */
    private static function fresh(Record $at, array $evidence): array
    {
        $key = "found:{$at->id}";
        $last = Cache::get($key);
        Cache::put($key, $evidence, self::SECONDS);

        return is_array($last) ? array_values(array_diff($evidence, $last)) : [];
    }

    /** @return list<Rig> those that can still be read */
    private static function earlier(Record $at): array
    {
        $earlier = $at->revisions()->where('number', '<', $at->at)->latest('number')->limit(self::EARLIER)->get();

        return array_values(array_filter($earlier->map(fn (Revision $revision) => Recovery::read($revision))->all()));
    }

    private static function key(Record $at): string
    {
        return 'causes:'.StoredRig::stateOf($at);
    }
}
