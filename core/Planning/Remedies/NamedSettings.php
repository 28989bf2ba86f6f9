<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\SettingEffect;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\UnitRef;
use HiddenWire\Core\Signal\BlockKind;

/** Settings with a name that switch routes, mute points or list devices: what a socket carries, which input is taken, the USB mode. */
final class NamedSettings implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        foreach ($trouble->lacks() ? $trouble->graph->links : [] as $link) {
            if ($link->block === BlockKind::NotConnected && $link->pick !== null) {
                yield from $this->listing($trouble, $link->pick);
            }
            if ($link->block === BlockKind::Ducked && $link->pick !== null && $trouble->region->isJoinedBy($link)) {
                yield from $this->lowering($trouble, $link->pick);
            }
            $isSwitched = $link->block === BlockKind::Off || $link->block === BlockKind::Muted;
            if ($isSwitched && ($link->at instanceof RouteRef || $link->at instanceof PointRef) && $trouble->region->isJoinedBy($link)) {
                yield from $this->switching($trouble, $link->at, true);
            }
        }
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            if ($hop->at instanceof RouteRef || $hop->at instanceof PointRef) {
                yield from $this->switching($trouble, $hop->at, false);
            }
        }
    }

    /** @return iterable<Candidate> */
    private function switching(Trouble $trouble, RouteRef|PointRef $at, bool $on): iterable
    {
        foreach ($trouble->rig->modelOf($at->unit)->settings as $setting) {
            $now = $trouble->graph->state->value($at->unit, $setting);
            $turns = fn (string|bool|float $value): bool => $value !== $now && self::turns($setting, $now, $value, $at, $on);
            yield from $this->values($trouble, $at, $setting, $turns);
        }
    }

    /** @return iterable<Candidate> values at which the computer of a program leaves it alone while a call runs */
    private function lowering(Trouble $trouble, PointRef $at): iterable
    {
        $host = $trouble->rig->hostOf($trouble->rig->units[$at->unit]->place);
        if ($host === null) {
            return;
        }
        foreach ($trouble->rig->modelOf($host)->settings as $setting) {
            $lowers = fn (string|bool|float $value): bool => $setting->othersDb($value) < 0.0;
            if ($lowers($trouble->graph->state->value($host->id, $setting))) {
                yield from $this->values($trouble, new UnitRef($host->id), $setting, fn (string|bool|float $value) => ! $lowers($value));
            }
        }
    }

    /** @return iterable<Candidate> modes in which the device is listed that a program has picked */
    private function listing(Trouble $trouble, PointRef $at): iterable
    {
        $program = $trouble->rig->units[$at->unit];
        $point = $trouble->rig->modelOf($program)->points[$at->point];
        $device = $trouble->graph->picked($program, $point);
        $isBetween = $point->picks === Direction::Playback ? $trouble->region->reaches($at) : $trouble->region->leadsOn($at);
        if ($device?->keptOutBy === null || ! $isBetween) {
            return;
        }
        $inside = $device->ref->inside();
        foreach ($trouble->rig->modelOf($device->ref->unit)->settings as $setting) {
            if ($setting->hides($inside, $trouble->graph->state->value($device->ref->unit, $setting))) {
                $lists = fn (string|bool|float $value): bool => ! $setting->hides($inside, $value);
                yield from $this->values($trouble, $device->ref, $setting, $lists);
            }
        }
    }

    /**
     * @param  callable(string|bool|float): bool  $helps  at which values of the setting
     * @return iterable<Candidate>
     */
    private function values(Trouble $trouble, RouteRef|PointRef|DeviceRef|UnitRef $at, Setting $setting, callable $helps): iterable
    {
        $unit = $trouble->rig->units[$at->unit];
        $now = $trouble->graph->state->value($unit->id, $setting);
        foreach (array_filter($setting->values(), $helps) as $value) {
            foreach ($this->places($trouble, $unit->id, $setting) as $more => $situation) {
                yield new Candidate(
                    "setting {$unit->id} {$setting->id} {$setting->words($value)} {$situation}",
                    "{$unit->name}: {$setting->label} is {$setting->words($now)}",
                    "Set {$setting->label} of {$unit->name} to {$setting->words($value)}{$trouble->where($situation)}",
                    [new SetValue($unit->id, $setting->id, $value, $situation)],
                    Cost::SWITCH + $more,
                    [$at],
                );
            }
        }
    }

    /** Whether another value turns a route or point on, or off: by what it does, or by no longer doing the opposite. */
    private static function turns(
        Setting $setting,
        string|bool|float $now,
        string|bool|float $value,
        RouteRef|PointRef $at,
        bool $on,
    ): bool {
        $does = self::does($setting, $value, $at);

        return $does === $on || ($does === null && self::does($setting, $now, $at) === ! $on);
    }

    private static function does(Setting $setting, string|bool|float $value, RouteRef|PointRef $at): ?bool
    {
        foreach ($setting->effectsAt($value) as $effect) {
            if (self::isOf($effect, $at)) {
                return $effect->on;
            }
        }

        return null;
    }

    private static function isOf(SettingEffect $effect, RouteRef|PointRef $at): bool
    {
        return $at instanceof RouteRef ? $effect->route === $at->key : $effect->point === $at->point;
    }

    /** @return array<int, string|null> the situation, null for the base; by what it costs more */
    private function places(Trouble $trouble, string $unit, Setting $setting): array
    {
        $situation = $trouble->graph->state->situation;
        $isHere = array_filter($situation->settings, fn (SettingValue $one) => $one->slot() === "{$unit} {$setting->id}") !== [];

        return match (true) {
            $trouble->rig->isBase($situation->id) => [0 => null],
            $isHere => [0 => $situation->id],
            default => [0 => null, Cost::ONE_SITUATION => $situation->id],
        };
    }
}
