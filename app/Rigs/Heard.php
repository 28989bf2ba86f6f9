<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig as Record;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HearingNote;
use Illuminate\Support\Facades\Cache;

/**
 * The hearing of a rig in a situation, computed once for as long as the rig is at hand: a change asks for it to say what it does, and the
 * page that is drawn anew asks again.
 */
final class Heard
{
    private const SECONDS = 3600;

    /** Rigs whose hearings are at hand: that of before a change, and that of after it. */
    private const RIGS = 2;

    /** @var list<array{Rig, array<array-key, Hearing>}> the latest first */
    private static array $known = [];

    public static function in(Rig $rig, Situation $situation): Hearing
    {
        $of = [];
        $others = [];
        foreach (self::$known as [$other, $hearings]) {
            if ($other === $rig) {
                $of = $hearings;
            } elseif (count($others) < self::RIGS - 1) {
                $others[] = [$other, $hearings];
            }
        }
        $of[$situation->id] ??= new Hearing((new GraphBuilder($rig))->build($situation));
        self::$known = [[$rig, $of], ...$others];

        return $of[$situation->id];
    }

    /** What is noted of a stored rig's hearing, from when a page showed it; null where none did. */
    public static function noted(Record $at, Situation $situation): ?HearingNote
    {
        $kept = Cache::get(self::key($at, $situation));

        return $kept instanceof HearingNote ? $kept : null;
    }

    /** Keeps a note of what a page shows, once: the next change tells by it what becomes of the hearing. */
    public static function note(Record $at, Situation $situation, Hearing $hearing): void
    {
        if (! Cache::has(self::key($at, $situation))) {
            Cache::put(self::key($at, $situation), $hearing->note(), self::SECONDS);
        }
    }

    /** @return array<array-key, HearingNote> what is noted of the situations that the page of the last change did not show */
    public static function besides(Record $at): array
    {
        $kept = Cache::get('besides:'.StoredRig::stateOf($at));

        return is_array($kept) ? $kept : [];
    }

    /** @param  array<array-key, HearingNote>  $notes  by situation */
    public static function keepBesides(Record $at, array $notes): void
    {
        if ($notes !== []) {
            Cache::put('besides:'.StoredRig::stateOf($at), $notes, self::SECONDS);
        }
    }

    private static function key(Record $at, Situation $situation): string
    {
        return 'heard:'.StoredRig::stateOf($at).":{$situation->id}";
    }
}
