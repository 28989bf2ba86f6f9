<?php

declare(strict_types=1);

namespace App\Takes;

use App\Models\TakeState;
use App\Models\TestRun;
use App\Models\ToneTake;
use App\Rigs\StoredRig;
use HiddenWire\Core\Planning\Hearings;
use HiddenWire\Core\Tones\Difference;
use HiddenWire\Core\Tones\MeasuredTracks;
use HiddenWire\Core\Tones\TonePlan;

/**
 * What tone tests have measured while a test was on, a row for each sound on each track: {situation, unit, at, track, source, db,
 * planned_db, late_ms, planned_late_ms, differences}; levels and times null where there is none.
 *
 * @phpstan-import-type Measured from \HiddenWire\Core\Bench\TestRecord
 */
final class MeasuredTable
{
    /** Of one test the latest. */
    private const TAKES = 12;

    /** Decimals of what is written. */
    private const DIGITS = 2;

    /** @return list<Measured> of a test that came in as a file, as the file has them */
    public static function of(TestRun $run): array
    {
        if ($run->measured !== null || $run->rig === null) {
            return $run->measured ?? [];
        }
        $next = TestRun::query()->where('rig_id', $run->rig_id)->where('id', '>', $run->id)->min('started_at');
        $takes = ToneTake::query()->where('rig_id', $run->rig_id)->where('state', TakeState::Done)
            ->where('created_at', '>=', $run->started_at)
            ->when($next !== null, fn ($query) => $query->where('created_at', '<', $next))
            ->latest('id')->limit(self::TAKES)->get()->reverse();
        $plan = $takes->isEmpty() ? null : new Hearings(StoredRig::load($run->rig));
        $rows = [];
        foreach ($takes as $take) {
            $rows = $plan === null || ! isset($plan->rig->situations[$take->situation]) ? $rows : [...$rows, ...self::ofTake($take, $plan)];
        }

        return $rows;
    }

    /** @return list<Measured> */
    private static function ofTake(ToneTake $take, Hearings $plan): array
    {
        $read = new ReadTracks($take->read['tracks'] ?? [], $take->read['says'] ?? []);
        $measured = new MeasuredTracks(new TonePlan($plan->in($take->situation), $take->played), $read->readings($plan->rig));
        $short = fn (?float $value): ?float => $value === null ? null : round($value, self::DIGITS);
        $rows = [];
        foreach ($read->says === [] ? $measured->tracks : [] as $track) {
            foreach ($track->sounds as $sound) {
                $rows[] = [
                    'situation' => $take->situation, 'unit' => $take->unit, 'at' => $take->created_at->toIso8601ZuluString(),
                    'track' => $track->track->id, 'source' => $sound->source->id, 'db' => $short($sound->db),
                    'planned_db' => $short($sound->plannedDb), 'late_ms' => $short($sound->lateMs),
                    'planned_late_ms' => $short($sound->plannedLateMs),
                    'differences' => array_map(fn (Difference $one) => $one->words, $sound->differences),
                ];
            }
        }

        return $rows;
    }
}
