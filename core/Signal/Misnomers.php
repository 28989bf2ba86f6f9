<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Names;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Source;

/**
 * Names of points and devices that mislead: they name a sound that is not there while others are, or name one as left out that is there. A
 * name is held against the sounds of the rig by the words that they share.
 */
final class Misnomers
{
    /** Words before what is not there. */
    private const LEFT_OUT = ['no', 'not', 'without', 'minus', 'but', 'except'];

    /** Words that tell no sound from another, where its name has others. */
    private const GENERAL = ['sound', 'sounds', 'audio', 'voice', 'feed', 'mix', 'the', 'and', 'all', 'everything', 'from', 'main'];

    /** What is so much softer than the loudest is not what a thing is for. */
    private const BESIDE_DB = 20.0;

    /** Sounds that a name lists; more are a mix. */
    private const LISTED = 3;

    /**
     * @param  array<array-key, SignalGraph>  $graphs  of the rig, one for each situation that counts
     * @return list<Misnomer>
     */
    public static function in(Rig $rig, array $graphs): array
    {
        $named = self::named($rig);
        $carried = [];
        foreach ($graphs as $graph) {
            $nodes = [];
            foreach ($named as $key => [$at, $computer]) {
                $device = $computer === null || $at instanceof PointRef ? null : $graph->devices->of($computer)[(string) $at] ?? null;
                if ($at instanceof PointRef) {
                    $nodes[$key] = $graph->exit($at);
                } elseif ($device !== null && $device->isUsable()) {
                    $nodes[$key] = $graph->deviceNode($device);
                }
            }
            foreach ($nodes as $key => $node) {
                $carried[$key][] = $graph->field()->levelsAt($node, Readings::LEAST_DB);
            }
        }
        $misnomers = [];
        foreach ($named as $key => [$at, $computer, $name]) {
            $says = self::why($rig, $name, $carried[$key] ?? []);
            $offer = $says === null ? '' : self::offer($rig, $carried[$key] ?? []);
            if ($says !== null && mb_strtolower($offer) !== mb_strtolower($name)) {
                $misnomers[] = new Misnomer($at, $computer, $name, (new Names($rig))->of($at)." {$says}", $offer);
            }
        }

        return $misnomers;
    }

    /** @return array<string, array{PointRef|DeviceRef, string|null, string}> what has a name of somebody's own */
    private static function named(Rig $rig): array
    {
        $named = [];
        foreach ($rig->units as $unit) {
            foreach ($unit->names as $point => $name) {
                $named["{$unit->id}/{$point}"] = [new PointRef($unit->id, (string) $point), null, $name];
            }
        }
        foreach ($rig->devices as $set) {
            if ($set->name !== '') {
                $named["{$set->computer} {$set->device}"] = [$set->device, $set->computer, $set->name];
            }
        }

        return $named;
    }

    /**
     * @param  list<array<string, float>>  $levels  dB by source, in each situation
     * @return string|null what is wrong with a name, behind it; null where nothing is
     */
    private static function why(Rig $rig, string $name, array $levels): ?string
    {
        [$with, $without] = self::said($rig, $name);
        $isThere = array_filter($levels, fn (array $of) => array_intersect_key($of, $with) !== []) !== [];
        $carrying = array_filter($levels);
        if ($with !== [] && ! $isThere && $carrying !== []) {
            return 'is called '.self::listed($with).', but carries '.self::listed(self::sounds($rig, $carrying));
        }
        foreach ($carrying as $of) {
            $loud = array_filter($of, fn (float $db) => $db > max([-INF, ...array_values($of)]) - self::BESIDE_DB);
            $there = array_intersect_key($without, $loud);
            if ($there !== []) {
                return 'names '.self::listed($there).' as left out, but carries '.(count($there) === 1 ? 'it' : 'them');
            }
        }

        return null;
    }

    /** @return array{array<string, Source>, array<string, Source>} the sounds that a name says are there, and that it says are not */
    private static function said(Rig $rig, string $name): array
    {
        $words = [[], []];
        $isLeftOut = false;
        foreach (self::words($name, 2) as $word) {
            $isLeftOut = $isLeftOut || in_array($word, self::LEFT_OUT, true);
            $words[$isLeftOut ? 1 : 0][] = $word;
        }

        return array_map(function (array $of) use ($rig): array {
            $shared = [];
            foreach ($rig->sources as $source) {
                $own = self::words($source->name, 3);
                $telling = array_diff($own, self::GENERAL) ?: $own;
                $shared[$source->id] = count(array_intersect($telling, $of));
            }
            $most = max([0, ...$shared]);

            return $most === 0 ? [] : array_intersect_key($rig->sources, array_filter($shared, fn (int $count) => $count === $most));
        }, $words);
    }

    /** @return list<string> */
    private static function words(string $text, int $least): array
    {
        return array_values(array_filter(
            (array) preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($text)),
            fn (mixed $word): bool => is_string($word) && mb_strlen($word) >= $least,
        ));
    }

    /**
     * @param  array<array-key, array<string, float>>  $levels
     * @return array<string, Source> what is carried in any situation and not only beside something louder, the loudest first
     */
    private static function sounds(Rig $rig, array $levels): array
    {
        $loudest = [];
        foreach ($levels as $of) {
            foreach (array_filter($of, fn (float $db) => $db > max([-INF, ...array_values($of)]) - self::BESIDE_DB) as $source => $db) {
                $loudest[$source] = max($db, $loudest[$source] ?? -INF);
            }
        }
        arsort($loudest);

        return array_map(fn (int|string $id) => $rig->sources[$id], array_combine(array_keys($loudest), array_keys($loudest)));
    }

    /** @param  array<string, Source>  $sources */
    private static function listed(array $sources): string
    {
        $names = array_values(array_map(fn (Source $one) => $one->name, $sources));

        return count($names) > self::LISTED ? count($names).' sounds' : implode(' and ', $names);
    }

    /** @param  list<array<string, float>>  $levels */
    private static function offer(Rig $rig, array $levels): string
    {
        $sources = self::sounds($rig, $levels);
        $name = implode(' + ', array_map(fn (Source $one) => $one->name, $sources));

        return count($sources) > self::LISTED || mb_strlen($name) > Bounds::POINT_NAME ? 'Mix of '.count($sources) : $name;
    }
}
