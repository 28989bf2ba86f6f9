<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Rig as Record;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\ChangedSound;
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

        $make = function () use ($computers, $rig, $shown, $graph): array {
            $words = [];
            foreach (self::situations($rig, $shown) as $situation) {
                $words[$situation->name] = self::in($graph($situation), $computers);
            }

            return $words;
        };

        return $computers === [] ? [] : KeptByState::of($at, self::what($rig, $shown), $make);
    }

    /**
     * After a change, from the graphs that it has made and from what was known before it; nothing where that is not enough.
     *
     * @param  \Closure(Situation): (SignalGraph|null)  $graph
     */
    public static function carry(Record $from, Record $to, Rig $rig, Situation $shown, ChangedSound $change, \Closure $graph): void
    {
        $computers = self::computers($rig);
        if ($computers === []) {
            return;
        }
        $known = KeptByState::known($from, self::what($rig, $shown));
        $words = [];
        foreach (self::situations($rig, $shown) as $situation) {
            $isSame = $change->isNone($situation->id);
            $in = $isSame ? null : $graph($situation);
            if ($isSame ? ! isset($known[$situation->name]) : $in === null) {
                return;
            }
            $words[$situation->name] = $in === null ? $known[$situation->name] : self::in($in, $computers);
        }
        KeptByState::of($to, self::what($rig, $shown), fn (): array => $words);
    }

    private static function what(Rig $rig, Situation $shown): string
    {
        return self::situations($rig, $shown) === $rig->situations ? 'stray' : "stray:{$shown->id}";
    }

    /**
     * @param  list<Unit>  $computers
     * @return array<string, string> by computer
     */
    private static function in(SignalGraph $graph, array $computers): array
    {
        $words = [];
        foreach ($computers as $unit) {
            $words[$unit->id] = (new Stray($graph, $unit))->words();
        }

        return $words;
    }
}
