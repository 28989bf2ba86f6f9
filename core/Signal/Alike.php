<?php

declare(strict_types=1);

namespace HiddenWire\Core\Signal;

use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;

/**
 * Whether the graph of a rig in a situation comes to that of another, but for what is set inside some units: at their points and routes,
 * which changes what a link does and never where it leads. Objects are compared by identity: an edit passes on what it does not change.
 */
final readonly class Alike
{
    /**
     * @param  array<array-key, list<Change|SettingValue|EffectSwitch|SceneChoice>>  $changes  what the situation changes, by unit
     * @return list<Unit>|null the units that are set otherwise; null where more is otherwise than that
     */
    public static function units(Rig $rig, Situation $situation, array $changes, SignalGraph $graph): ?array
    {
        $was = $graph->rig;
        $isNoMore = self::differsInsideOnly($graph->state->situation, $situation) && $was->base()->plugged === $rig->base()->plugged
            && $was->models === $rig->models && $was->cables === $rig->cables && $was->devices === $rig->devices
            && $was->picks === $rig->picks && $was->air === $rig->air && $was->papers->measures === $rig->papers->measures
            && array_keys($was->units) === array_keys($rig->units);
        if (! $isNoMore) {
            return null;
        }
        $units = [];
        foreach ($rig->units as $id => $unit) {
            if ($unit !== $was->units[$id] && $unit->outside() !== $was->units[$id]->outside()) {
                return null;
            }
            if ($unit !== $was->units[$id] || ($changes[$id] ?? []) !== $graph->sections[$id]->changes) {
                $units[] = $unit;
            }
        }

        return $units;
    }

    /** Whether two situations are the same, or differ in nothing but how points and routes are set. */
    private static function differsInsideOnly(Situation $was, Situation $is): bool
    {
        $isPick = fn (Change $change): bool => $change->set instanceof Pick;
        $picks = fn (Situation $one): array => array_values(array_filter($one->changes, $isPick));

        return $was === $is || ($was->id === $is->id && $was->absent === $is->absent && $was->pulled === $is->pulled
            && $was->defaults === $is->defaults && $was->levels === $is->levels && $was->settings === $is->settings
            && $was->plugged === $is->plugged && $was->effects === $is->effects && $was->scenes === $is->scenes
            && $picks($was) === $picks($is));
    }

    /** Whether everything inside units has the same effect. */
    public static function isSameInside(Rig $rig, Situation $situation, SignalGraph $graph): bool
    {
        return $graph->state->situation === $situation && $graph->rig->models === $rig->models && $graph->rig->units === $rig->units;
    }

    /** Whether the cables join the same, too. */
    public static function isSameWiring(Rig $rig, Situation $situation, SignalGraph $graph): bool
    {
        return self::isSameInside($rig, $situation, $graph) && $graph->rig->cables === $rig->cables
            && $graph->rig->papers->measures === $rig->papers->measures;
    }

    /** Whether computers list the same devices, too. */
    public static function isSameListed(Rig $rig, Situation $situation, SignalGraph $graph): bool
    {
        return self::isSameWiring($rig, $situation, $graph) && $graph->rig->devices === $rig->devices
            && $graph->rig->base()->plugged === $rig->base()->plugged;
    }
}
