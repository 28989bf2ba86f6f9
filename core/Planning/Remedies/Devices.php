<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning\Remedies;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Edit\EnableDevice;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetSituationDefault;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Planning\Candidate;
use HiddenWire\Core\Planning\Cost;
use HiddenWire\Core\Planning\Remedy;
use HiddenWire\Core\Planning\Trouble;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Unit;

/** Devices that are disabled, and defaults that nobody has or that have moved. */
final class Devices implements Remedy
{
    public function isOfCables(): bool
    {
        return false;
    }

    public function candidates(Trouble $trouble): iterable
    {
        $onWays = [];
        foreach ($trouble->hasTooMuch() ? $trouble->hops() : [] as $hop) {
            $onWays[(string) $hop->pick] = true;
        }
        foreach ($trouble->rig->units as $unit) {
            $host = $trouble->rig->modelOf($unit)->isProgram() ? $trouble->rig->hostOf($unit->place) : null;
            foreach ($host === null ? [] : $trouble->rig->modelOf($unit)->points as $point) {
                if ($point->picks !== null && $host !== null) {
                    yield from $this->ofPoint(
                        $trouble,
                        $host,
                        new PointRef($unit->id, $point->id),
                        $point,
                        isset($onWays["{$unit->id}/{$point->id}"]),
                    );
                }
            }
        }
    }

    /** @return iterable<Candidate> */
    private function ofPoint(Trouble $trouble, Unit $host, PointRef $at, Point $point, bool $isOnWay): iterable
    {
        $pick = $trouble->graph->state->pick($at->unit, $at->point);
        $direction = $pick->tap ?? $point->picks;
        $isBetween = $trouble->lacks()
            && ($point->picks === Direction::Playback ? $trouble->region->reaches($at) : $trouble->region->leadsOn($at));
        if ($pick === null || $direction === null || (! $isBetween && ! $isOnWay)) {
            return;
        }
        $device = $trouble->graph->devices->resolve($host->id, $pick, $direction);
        if ($device !== null && $isBetween) {
            yield from self::enabling($device, $host);
        }
        if ($pick->default === null || $point->deviceOf !== null) {
            return;
        }
        $role = $pick->default === SystemDefault::Call ? Role::Call : Role::from($direction->value);
        foreach ($trouble->graph->devices->of($host->id) as $other) {
            // Of what is plugged in, a system that takes the last passes over what it does not offer.
            if ($other->direction === $direction && $isBetween && $trouble->rig->modelOf($host)->takes === Takes::LastPlugged) {
                yield from self::enabling($other, $host);
            }
            if ($other->direction === $direction && $other->isUsable() && $other !== $device && $other->ref->unit !== $at->unit) {
                yield from $this->give($trouble, $host, $other, $role, $device);
                if ($role === Role::Call) {
                    yield from $this->give($trouble, $host, $other, Role::from($direction->value), $device);
                }
            }
        }
    }

    /** @return list<Candidate> a device that exists, but is not offered, offered again */
    public static function enabling(Device $device, Unit $host): array
    {
        if (! $device->isConnected || $device->isEnabled()) {
            return [];
        }
        $unlisted = ($device->settings->enabled ?? true) ? $device->settings?->unlisted : null;

        return [new Candidate(
            "enable {$device->computer} {$device->ref}",
            $unlisted?->cause($device->name(), $host->name) ?? "{$device->name()} is disabled on {$host->name}",
            $unlisted?->cure($device->name()) ?? "Enable {$device->name()} on {$host->name}",
            [new EnableDevice($device->computer, $device->ref, true)],
            Cost::ENABLE,
            [$device->ref],
        )];
    }

    /** @return iterable<Candidate> */
    private function give(Trouble $trouble, Unit $host, Device $device, Role $role, ?Device $now): iterable
    {
        if ($device->has($role)) {
            return;
        }
        if ($trouble->rig->modelOf($host)->takes === Takes::LastPlugged) {
            yield from $this->plugLast($trouble, $host, $device, $now);

            return;
        }
        $set = SetDevice::of($trouble->rig, new DeviceSettings($host->id, $device->ref));
        $situation = $trouble->graph->state->situation;
        $isMoved = $situation->defaultFor($host->id, $device->direction, $role) !== null;
        $what = $role === Role::Call
            ? "default {$device->direction->value} device for calls"
            : "default {$device->direction->value} device";
        yield new Candidate(
            "default {$host->id} {$device->direction->value} {$role->value} {$device->ref}",
            $now === null ? "{$host->name} has no {$what}" : "The {$what} of {$host->name} is {$now->name()}",
            "Make {$device->name()} the {$what} of {$host->name}".($isMoved ? " in {$situation->name}" : ''),
            [$isMoved
                ? new SetSituationDefault($situation->id, $host->id, $device->direction, $role, in_array($role, $set->roles, true) ? null
                    : $device->ref)
                : new SetDevice($set->with(roles: $this->inOrder([...$set->roles, $role])))],
            Cost::DEFAULT + ($this->hadBefore($trouble->earlier, $host, $device, $role) ? Cost::KNOWN : 0),
            [$device->ref],
        );
    }

    /** @return iterable<Candidate> the lead of a device plugged in after the others, where the system takes the last */
    private function plugLast(Trouble $trouble, Unit $host, Device $device, ?Device $now): iterable
    {
        $cable = $trouble->graph->devices->plugOf($device);
        if ($cable === null) {
            return;
        }
        $situation = $trouble->graph->state->situation;
        $isBase = $trouble->rig->isBase($situation->id);
        foreach ($isBase || $situation->plugged === [] ? [null, ...($isBase ? [] : [$situation->id])] : [$situation->id] as $n => $where) {
            yield new Candidate(
                "plug last {$cable} {$where}",
                $now === null ? "Nothing has the sound of {$host->name}" : "{$host->name} takes {$now->name()}, which was plugged in last",
                "Plug {$trouble->cable($cable)} into {$host->name} last{$trouble->where($where)}",
                [new PlugLast($cable, $where)],
                Cost::PLUG_AGAIN + $n * Cost::ONE_SITUATION,
                [$device->ref],
            );
        }
    }

    /**
     * @param  list<Role>  $roles
     * @return list<Role>
     */
    private function inOrder(array $roles): array
    {
        return array_values(array_filter(Role::cases(), fn (Role $role) => in_array($role, $roles, true)));
    }

    /** @param  list<Rig>  $earlier */
    private function hadBefore(array $earlier, Unit $host, Device $device, Role $role): bool
    {
        foreach ($earlier as $rig) {
            foreach ($rig->devices as $set) {
                if ($set->computer === $host->id && (string) $set->device === (string) $device->ref && in_array($role, $set->roles, true)) {
                    return true;
                }
            }
        }

        return false;
    }
}
