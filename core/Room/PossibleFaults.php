<?php

declare(strict_types=1);

namespace HiddenWire\Core\Room;

use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Edit\ExchangeEnds;
use HiddenWire\Core\Edit\Follow;
use HiddenWire\Core\Edit\PlayDevice;
use HiddenWire\Core\Edit\PlugLast;
use HiddenWire\Core\Edit\Replug;
use HiddenWire\Core\Edit\RigEdit;
use HiddenWire\Core\Edit\SetCable;
use HiddenWire\Core\Edit\SetDevice;
use HiddenWire\Core\Edit\SetPick;
use HiddenWire\Core\Edit\SetPoint;
use HiddenWire\Core\Edit\SetProgramLevel;
use HiddenWire\Core\Edit\SetRoute;
use HiddenWire\Core\Edit\SetSystemLevel;
use HiddenWire\Core\Edit\SetValue;
use HiddenWire\Core\Edit\Unplug;
use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Unlisted;
use HiddenWire\Core\Rig\Wiring;

/**
 * Every single fault of a rig that a hand, or an update of a system, makes: a cable out, in a wrong socket, or exchanged with another; a
 * pick cleared, moved to a neighbour or to other channels; a default cleared or moved; a route, a mute, a switch or a level changed. Each
 * is an edit, named by what it does; the names are for those who measure, {@see RigEdit::words()} is for people.
 */
final class PossibleFaults
{
    /** @return \Generator<string, RigEdit> by what it does */
    public static function of(Rig $rig): \Generator
    {
        yield from self::ofCables($rig);
        yield from self::ofPicks($rig);
        yield from self::ofDefaults($rig);
        yield from self::ofSystems($rig);
        yield from self::ofSettings($rig);
        yield from self::ofRules($rig);
        $base = $rig->situation() ?? throw new \LogicException('A rig has a base');
        $state = new State($rig, $base);
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->routes as $key => $route) {
                if ($route->allows(RouteSetting::On)) {
                    $on = ! $state->route($unit->id, $route)->on;
                    yield "route {$unit->id}/{$key} "
                        .($on ? 'on' : 'off') => new SetRoute(new RouteRef($unit->id, $key), new RouteSettings(on: $on));
                }
            }
            foreach ($rig->modelOf($unit)->points as $point) {
                if ($point->solo !== null) {
                    yield "{$unit->id}/{$point->id} soloed" => new SetPoint(
                        new PointRef($unit->id, $point->id),
                        new PointSettings(solo: true),
                    );
                }
                foreach ($point->canFollow as $of) {
                    $follows = $unit->follows[$point->id] ?? null;
                    yield "{$unit->id}/{$point->id} follows ".($follows === null ? $of : 'nothing') => new Follow(
                        new PointRef($unit->id, $point->id),
                        $follows === null ? new Following($of) : null,
                    );
                }
                foreach (['gain' => $state->gain($unit->id, $point), 'fader' => $state->fader($unit->id, $point)] as $knob => $now) {
                    $span = $point->{$knob};
                    foreach ($span === null ? [] : ['all the way down' => $span->from, 'all the way up' => $span->to] as $how => $to) {
                        if (! $to->equals($now)) {
                            yield "{$unit->id}/{$point->id}: {$knob} {$how}" => new SetPoint(
                                new PointRef($unit->id, $point->id),
                                $knob === 'gain' ? new PointSettings(gain: $to) : new PointSettings(fader: $to),
                            );
                        }
                    }
                }
                if ($point->mute !== null) {
                    $mute = ! $state->isMuted($unit->id, $point);
                    yield "{$unit->id}/{$point->id} "
                        .($mute ? 'muted' : 'unmuted') => new SetPoint(new PointRef($unit->id, $point->id), new PointSettings(mute: $mute));
                }
            }
        }
    }

    /** @return \Generator<string, RigEdit> automatic mutes out of force, a repeater turned round, one conductor for two */
    private static function ofRules(Rig $rig): \Generator
    {
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->autoMutes as $rule) {
                if ($unit->points[$rule->mutes]->autoMute ?? true) {
                    yield "{$unit->id}/{$rule->mutes} not muted by itself" => new SetPoint(
                        new PointRef($unit->id, $rule->mutes),
                        new PointSettings(autoMute: false),
                    );
                }
            }
            if ($rig->modelOf($unit)->family === Family::Repeater) {
                yield "{$unit->id} turned round" => new TurnedRound($unit->id);
            }
        }
        foreach ($rig->cables as $cable) {
            $mono = match ($cable->type) {
                CableType::Trs => CableType::Ts, CableType::RcaPair => CableType::Rca, default => null,
            };
            if ($mono !== null) {
                yield "{$cable->label} with one conductor" => SetCable::like($cable->with(type: $mono));
            }
        }
    }

    /** @return \Generator<string, RigEdit> what a hand, or an update, does in the system: mutes, and a recording device that is played */
    private static function ofSystems(Rig $rig): \Generator
    {
        $lists = new DeviceLists($rig, new Wiring($rig));
        foreach ($lists->all() as $computer => $devices) {
            $default = array_values(array_filter($devices, fn ($one) => $one->has(Role::Playback)))[0] ?? null;
            foreach ($devices as $device) {
                foreach ($device->isUsable() ? Unlisted::cases() : [] as $why) {
                    $set = SetDevice::of($rig, new DeviceSettings((string) $computer, $device->ref));
                    yield "{$device->ref} {$why->words()}" => new SetDevice($set->with(unlisted: $why));
                }
                $plug = $rig->modelOf((string) $computer)->takes === Takes::LastPlugged ? $lists->plugOf($device) : null;
                if ($plug !== null) {
                    yield "{$plug} plugged in last" => new PlugLast($plug);
                }
                yield "{$device->ref} muted in the system" => new SetSystemLevel(
                    (string) $computer,
                    $device->ref,
                    $device->settings?->db,
                    true,
                );
                if ($device->direction === Direction::Recording && $default !== null && $device->settings?->playsTo === null) {
                    yield "{$device->ref} played by the system" => new PlayDevice((string) $computer, $device->ref, $default->ref);
                }
            }
        }
        foreach ($rig->picks as $pick) {
            if (! $pick->mute) {
                yield "{$pick->at} muted in the system" => new SetProgramLevel($pick->at, $pick->db, true);
            }
        }
    }

    /** @return \Generator<string, SetValue> modes and what sockets carry, each at its other values */
    private static function ofSettings(Rig $rig): \Generator
    {
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->settings as $setting) {
                foreach ($setting->effects === [] ? [] : $setting->values() as $value) {
                    if ($value !== ($unit->values[$setting->id] ?? $setting->factory)) {
                        yield "{$unit->id}: {$setting->label} {$setting->words($value)}" => new SetValue($unit->id, $setting->id, $value);
                    }
                }
            }
        }
    }

    /** @return \Generator<string, RigEdit> */
    private static function ofCables(Rig $rig): \Generator
    {
        $wiring = new Wiring($rig);
        $cables = array_values($rig->cables);
        foreach ($cables as $i => $cable) {
            yield "{$cable->label} out" => new Unplug($cable->id);
            foreach ([[$cable->from, $cable->to, true], [$cable->to, $cable->from, false]] as [$moves, $stays, $isFrom]) {
                foreach ($rig->modelOf($moves->unit)->sockets as $socket) {
                    $to = new SocketRef($moves->unit, $socket->id);
                    if ($wiring->at($to) === [] && Mating::cable($rig->socket($stays), $socket) !== null) {
                        yield "{$cable->label} in {$to}" => new Replug($cable->id, $isFrom, $to);

                        break;
                    }
                }
                foreach (array_slice($cables, $i + 1) as $other) {
                    foreach ([[$other->from, $other->to, true], [$other->to, $other->from, false]] as [$its, $itsOther, $isItsFrom]) {
                        if ($its->unit === $moves->unit && $rig->socket($its)->link === null
                            && Mating::cable($rig->socket($stays), $rig->socket($its)) !== null
                            && Mating::cable($rig->socket($itsOther), $rig->socket($moves)) !== null) {
                            yield "{$cable->label} and {$other->label} exchanged at {$moves->unit}" => new ExchangeEnds(
                                $cable->id,
                                $isFrom,
                                $other->id,
                                $isItsFrom,
                            );
                        }
                    }
                }
            }
        }
    }

    /** @return \Generator<string, RigEdit> */
    private static function ofPicks(Rig $rig): \Generator
    {
        $lists = new DeviceLists($rig, new Wiring($rig));
        foreach ($rig->picks as $pick) {
            yield "pick {$pick->at} cleared" => new SetPick($pick->at, null);
            yield "pick {$pick->at} for itself" => new SetPick($pick->at, $pick->with(mode: DriverMode::Exclusive));
            if ($pick->also !== []) {
                yield "pick {$pick->at} of the first device only" => new SetPick($pick->at, $pick->with(also: []));
            }
            if ($rig->point($pick->at)->deviceOf !== null) {
                $next = array_map(fn (int $channel) => $channel === 1 ? 2 : $channel - 1, $pick->channels ?? [1]);
                yield "pick {$pick->at} a channel off" => new SetPick($pick->at, $pick->with(channels: $next));
            }
            $host = $rig->hostOf($rig->units[$pick->at->unit]->place);
            $direction = $pick->tap ?? $rig->point($pick->at)->picks;
            $devices = $host === null ? []
                : array_values(array_filter($lists->of($host->id), fn ($device) => $device->direction === $direction
                && $device->isUsable() && $device->ref->unit !== $pick->at->unit));
            foreach ($devices as $i => $device) {
                if ((string) $device->ref === (string) $pick->device && count($devices) > 1) {
                    yield "pick {$pick->at} on the next device" => new SetPick(
                        $pick->at,
                        $pick->with(device: $devices[($i + 1) % count($devices)]->ref, channels: null),
                    );
                    yield "pick {$pick->at} on the device before" => new SetPick(
                        $pick->at,
                        $pick->with(device: $devices[($i + count($devices) - 1) % count($devices)]->ref, channels: null),
                    );
                }
                if ((string) $device->ref === (string) $pick->device && $device->channels > 2) {
                    $shifted = array_map(
                        fn (int $channel) => $channel + 2 <= $device->channels ? $channel + 2 : $channel - 2,
                        $pick->channels ?? [1, 2],
                    );
                    yield "pick {$pick->at} a pair off" => new SetPick(
                        $pick->at,
                        $pick->with(channels: array_slice($shifted, 0, $rig->point($pick->at)->channels)),
                    );
                }
            }
            if ($pick->device !== null) {
                yield "pick {$pick->at} on the system default" => new SetPick(
                    $pick->at,
                    new Pick($pick->at, null, SystemDefault::System),
                );
            }
        }
    }

    /** @return \Generator<string, RigEdit> */
    private static function ofDefaults(Rig $rig): \Generator
    {
        $lists = new DeviceLists($rig, new Wiring($rig));
        foreach ($rig->devices as $set) {
            foreach ($set->roles as $role) {
                yield "default {$role->value} of {$set->device} cleared" => new SetDevice(
                    $set->with(roles: array_values(array_filter($set->roles, fn ($one) => $one !== $role))),
                );
                $device = $lists->of($set->computer)[(string) $set->device] ?? null;
                foreach ($lists->of($set->computer) as $other) {
                    if ($device !== null && $other !== $device && $other->direction === $device->direction && $other->isUsable()) {
                        yield "default {$role->value} moved from {$set->device} to {$other->ref}" => new SetDevice(
                            SetDevice::of($rig, new DeviceSettings($set->computer, $other->ref))->with(roles: [$role]),
                        );

                        break;
                    }
                }
            }
        }
    }
}
