<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig as Record;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HearingNote;
use HiddenWire\Core\Signal\KeptHearing;
use HiddenWire\Core\Signal\UnbuiltGraph;
use Illuminate\Support\Facades\Cache;

/**
 * The hearing of a rig in a situation, computed once. It is in memory while the rig is: a change asks for it to say what it does, and
 * the page that is drawn anew asks again. That of a stored rig is kept for everybody under the name of its state: one computes it, and
 * whoever asks meanwhile waits.
 */
final class Heard
{
    private const SECONDS = 3600;

    /** How long somebody who asks waits for whoever is hearing the same, in seconds. */
    private const WAIT = 30;

    /** Rigs whose hearings are in memory: the one before a change, and the one after it. */
    private const RIGS = 2;

    /** @var list<array{Rig, array<array-key, Hearing>}> the latest first */
    private static array $known = [];

    /** @param  Record|null  $at  the record whose state the rig is, where it is one's */
    public static function in(Rig $rig, Situation $situation, ?Record $at = null): Hearing
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
        $of[$situation->id] ??= $at === null ? new Hearing((new GraphBuilder($rig))->build($situation)) : self::once($rig, $situation, $at);
        self::$known = [[$rig, $of], ...$others];

        return $of[$situation->id];
    }

    private static function once(Rig $rig, Situation $situation, Record $at): Hearing
    {
        $key = 'hearing:'.self::key($at, $situation);
        $graph = new UnbuiltGraph($rig, $situation);
        $kept = Packed::get($key);
        if ($kept instanceof KeptHearing) {
            return new Hearing($graph, kept: $kept);
        }
        // Where it takes too long, or there is no room for a lock, it is done twice.
        $lock = OneOfServer::waitFor($key, self::WAIT);
        try {
            $meanwhile = Packed::get($key);
            if ($meanwhile instanceof KeptHearing) {
                return new Hearing($graph, kept: $meanwhile);
            }
            $hearing = new Hearing($graph);
            Packed::put($key, $hearing->kept(), self::SECONDS);

            return $hearing;
        } finally {
            $lock?->release();
        }
    }

    /** Keeps what was heard with more patience than a page has. */
    public static function keep(Record $at, Situation $situation, Hearing $hearing): void
    {
        self::$known = [];
        Packed::put('hearing:'.self::key($at, $situation), $hearing->kept(), self::SECONDS);
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

    /** Whether a page has shown the hearing of a situation, by its id. */
    public static function isNoted(Record $at, string $situation): bool
    {
        return Cache::has(self::keyOf($at, $situation));
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
        return self::keyOf($at, $situation->id);
    }

    private static function keyOf(Record $at, string $situation): string
    {
        return 'heard:'.StoredRig::stateOf($at).":{$situation}";
    }
}
