<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig as Record;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\SignalGraph;
use HiddenWire\Core\Signal\Stray;

/**
 * Whom a sound that nobody has listed would reach from each computer, in words. Kept for a stored state: it takes a graph for each
 * situation, which a change has and the page that follows does not.
 */
final class StrayWords
{
    /** Most units for which it is reported for all situations; with more, for the one that is shown. */
    private const ALL_SITUATIONS = 200;

    /** @return list<Unit> what has an operating system */
    public static function computers(Rig $rig): array
    {
        return array_values(array_filter($rig->units, fn (Unit $unit) => $rig->modelOf($unit)->family->isHost()));
    }

    /** @return array<array-key, Situation> those that it is reported for, by id */
    public static function situations(Rig $rig, Situation $shown): array
    {
        return count($rig->units) > self::ALL_SITUATIONS ? [$shown->id => $shown] : $rig->situations;
    }

    /**
     * @param  \Closure(Situation): SignalGraph  $graph
     * @return array<string, array<string, string>> by the name of the situation and the computer's id
     */
    public static function of(Record $at, Rig $rig, Situation $shown, \Closure $graph): array
    {
        $computers = self::computers($rig);
        if ($computers === []) {
            return [];
        }
        $situations = self::situations($rig, $shown);
        $what = $situations === $rig->situations ? 'stray' : "stray:{$shown->id}";

        return KeptByState::of($at, $what, function () use ($computers, $situations, $graph): array {
            $words = [];
            foreach ($situations as $situation) {
                $in = $graph($situation);
                foreach ($computers as $unit) {
                    $words[$situation->name][$unit->id] = (new Stray($in, $unit))->words();
                }
            }

            return $words;
        });
    }
}
