<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\State;

/**
 * What the situations of a rig set, side by side: a row for each thing that any of them says, by unit in the rig's order, in a unit in the
 * order of the signal. What a hand does from one to another are the rows that stand otherwise there.
 */
final readonly class SituationTable
{
    /** @var list<SituationRow> */
    public array $rows;

    /** @var array<string, State> by situation */
    public array $states;

    /** @param  array<string, State>  $states  of situations that are known; the others are made */
    public function __construct(private Rig $rig, array $states = [])
    {
        $things = $saidBy = $all = [];
        foreach ($rig->situations as $situation) {
            $all[$situation->id] = $states[$situation->id] ?? new State($rig, $situation);
            foreach ($this->saidIn($situation) as $one) {
                $things[$one->key()] ??= $one;
                $saidBy[$one->key()][] = $situation->id;
            }
        }
        $this->states = $all;
        $places = array_flip(array_keys($rig->units));
        usort($things, fn (Adjustable $a, Adjustable $b) => self::placeOf($a, $places) <=> self::placeOf($b, $places)
            ?: Adjustables::compare($a->order(), $b->order()));
        $this->rows = array_map(fn (Adjustable $one) => new SituationRow(
            $one,
            array_map($one->stands(...), $all),
            array_values(array_unique($saidBy[$one->key()])),
        ), $things);
    }

    /** @return list<SituationRow> what differs in the second of two situations from the first */
    public function between(string $from, string $to): array
    {
        return array_values(array_filter($this->rows, fn (SituationRow $row) => $row->differs($from, $to)));
    }

    /** @return list<string> the same in words: "Desk mixer: Mic 1 → Main off" */
    public function told(string $from, string $to): array
    {
        return array_map(fn (SituationRow $row) => $row->of->told($this->states[$to]), $this->between($from, $to));
    }

    /** @return iterable<Adjustable> what a situation says */
    private function saidIn(Situation $situation): iterable
    {
        foreach ($situation->absent as $unit) {
            yield new Presence($this->rig, $unit);
        }
        foreach ($situation->scenes as $scene) {
            yield new SceneShown($this->rig, $scene->unit);
        }
        foreach ($situation->settings as $set) {
            yield new NamedSetting($this->rig, $set->unit, $set->setting);
        }
        foreach ($situation->defaults as $default) {
            yield new DefaultDevice($this->rig, $default->computer, $default->direction, $default->role);
        }
        foreach ($situation->levels as $level) {
            yield new DeviceLevel($this->rig, $level->computer, $level->device);
        }
        foreach ($situation->effects as $switch) {
            yield new EffectOn($this->rig, $switch->unit, $switch->effect);
        }
        foreach ($situation->changes as $change) {
            yield from $this->changed($change);
        }
        foreach ($situation->pulled as $cable) {
            yield new CableIn($this->rig, $cable);
        }
        if ($situation->plugged !== []) {
            yield new PlugOrder($this->rig);
        }
    }

    /** @return iterable<Adjustable> */
    private function changed(Change $change): iterable
    {
        [$at, $set] = [$change->at, $change->set];
        if ($set instanceof Pick) {
            yield new PickedDevice($this->rig, $set->at);
        } elseif ($set instanceof PointSettings && $at instanceof PointRef) {
            foreach (Dials::all() as $kind) {
                if ($set->of($kind) !== null) {
                    yield new DialSetting($this->rig, $at, $kind);
                }
            }
        } elseif ($set instanceof RouteSettings && $at instanceof RouteRef) {
            $group = $this->rig->modelOf($at->unit)->routes[$at->key]->group;
            if ($set->on !== null) {
                yield $group === null
                    ? new RouteAspect($this->rig, $at, RouteSetting::On)
                    : new Selector($this->rig, $at->unit, $group);
            }
            if ($set->db !== null) {
                yield new RouteAspect($this->rig, $at, RouteSetting::Db);
            }
            if ($set->tap !== null) {
                yield new RouteAspect($this->rig, $at, RouteSetting::Tap);
            }
        }
    }

    /** @param  array<string, int>  $places  of units in the rig; cables come behind all */
    private static function placeOf(Adjustable $one, array $places): int
    {
        return $one->unit() === null ? PHP_INT_MAX : $places[$one->unit()];
    }
}
