<?php

declare(strict_types=1);

namespace HiddenWire\Core\Devices;

use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Quantity\Milliseconds;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\MeasureKind;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\SituationDefault;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\SystemLevel;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;

/**
 * Every computer's list of audio devices, derived from what is plugged and what runs: its own sockets; every device lane of a unit that a
 * host socket reaches, through hubs too; picture outputs that reach something; what programs install. Settings whose device is gone stay,
 * as not connected; so does what a mode of its unit keeps out of the list.
 */
final readonly class DeviceLists
{
    /** @var array<string, array<string, Device>> by computer, by reference, in the system's order */
    private array $lists;

    /** @var array<string, float> delays in ms, by what they are of */
    private array $measured;

    /**
     * @param  list<string>  $absent  programs that do not run, units that are not there
     * @param  array<int, SituationDefault>  $defaults  that are others than the settings say
     * @param  array<int, SystemLevel>  $levels  that are others than the settings say
     * @param  array<int, SettingValue>  $values  of named settings that stand otherwise than the units say
     * @param  list<string>  $plugged  cables in the order in which they are plugged in, behind the order that the base says
     */
    public function __construct(
        private Rig $rig,
        private Wiring $wiring,
        array $absent = [],
        private array $defaults = [],
        private array $levels = [],
        private array $values = [],
        array $plugged = [],
    ) {
        $this->measured = $rig->papers->measured(MeasureKind::Delay);
        $settings = [];
        foreach ($rig->devices as $set) {
            $settings[$set->computer][(string) $set->device] = $set;
        }
        $programs = [];
        foreach ($rig->units as $unit) {
            if ($rig->modelOf($unit)->isProgram() && ! in_array($unit->id, $absent, true)) {
                $programs[$unit->place][] = $unit;
            }
        }
        $lists = [];
        foreach ($rig->units as $unit) {
            $model = $rig->modelOf($unit);
            if ($model->family->isHost()) {
                $list = $this->listOf($unit, $settings[$unit->id] ?? [], $programs[$unit->place] ?? []);
                $lists[$unit->id] = $model->takes === Takes::Chosen
                    ? $list
                    : $this->takenByPlug($unit, $list, [...$rig->base()->plugged, ...$plugged]);
            }
        }
        $this->lists = $lists;
    }

    /** @return array<string, array<string, Device>> */
    public function all(): array
    {
        return $this->lists;
    }

    /** @return array<string, Device> */
    public function of(string $computer): array
    {
        return $this->lists[$computer] ?? [];
    }

    /** The device that a pick comes to on its computer; null where it is not in the list, no device has the role, or another pick says. */
    public function resolve(string $computer, Pick $pick, Direction $direction): ?Device
    {
        if ($pick->device !== null) {
            return $this->lists[$computer][(string) $pick->device] ?? null;
        }
        if ($pick->default === null) {
            return null;
        }

        $hasCalls = $this->rig->units[$computer]->system?->kind?->hasDefaultForCalls() ?? true;

        return $pick->default === SystemDefault::Call && $hasCalls
            ? $this->withRole($computer, $direction, Role::Call) ?? $this->withRole($computer, $direction, Role::from($direction->value))
            : $this->withRole($computer, $direction, Role::from($direction->value));
    }

    /** The cable that is in a device's own socket; null for one that has no plug. */
    public function plugOf(Device $device): ?string
    {
        $isOwnSocket = $device->ref->unit === $device->computer && $device->ref->lane !== null;

        return $device->via[array_key_last($device->via) ?? 0]['cable'] ?? ($isOwnSocket
            ? ($this->wiring->at(new SocketRef($device->computer, $device->ref->givenBy))[0] ?? null)?->id
            : null);
    }

    private function withRole(string $computer, Direction $direction, Role $role): ?Device
    {
        foreach ($this->of($computer) as $device) {
            if ($device->direction === $direction && $device->has($role)) {
                return $device;
            }
        }

        return null;
    }

    /**
     * The list of a system that takes what was plugged in last: of each direction that device has every role, and one that is its own
     * where nothing is plugged.
     *
     * @param  array<string, Device>  $list
     * @param  list<string>  $order  cables, the last plugged last; those that it does not name were plugged before, in the rig's order
     * @return array<string, Device>
     */
    private function takenByPlug(Unit $host, array $list, array $order): array
    {
        $ranks = array_flip(array_map(strval(...), array_keys($this->rig->cables)));
        foreach ($order as $i => $cable) {
            $ranks[$cable] = count($this->rig->cables) + $i;
        }
        $first = [];
        foreach ($list as $key => $device) {
            // Behind a hub, the hub's own lead counts too: what was plugged in last of all on the way, then the device's own.
            $plug = $this->plugOf($device);
            $leads = $plug === null ? [] : [...array_column($device->via, 'cable'), $plug];
            // What a program installs is chosen by nobody's plug.
            $isOwn = $device->ref->unit === $host->id && $device->ref->lane === null;
            $rank = match (true) {
                $leads !== [] => [max(array_map(fn (string $cable) => $ranks[$cable], $leads)), $ranks[$plug]],
                $isOwn => [-1, -1],
                default => null,
            };
            if ($rank !== null && $device->isUsable() && $rank > ($first[$device->direction->value][0] ?? [-2, -2])) {
                $first[$device->direction->value] = [$rank, $key];
            }
        }

        return array_map(fn (Device $device) => $device->with(
            roles: ($first[$device->direction->value][1] ?? null) === (string) $device->ref
                ? [Role::from($device->direction->value), Role::Call]
                : [],
        ), $list);
    }

    /**
     * @param  array<string, DeviceSettings>  $settings  by device reference
     * @param  list<Unit>  $programs
     * @return array<string, Device>
     */
    private function listOf(Unit $host, array $settings, array $programs): array
    {
        $devices = [];
        foreach ($this->rig->modelOf($host)->sockets as $socket) {
            $ref = new SocketRef($host->id, $socket->id);
            foreach ($socket->lanes as $lane) {
                if ($lane->device === null) {
                    continue;
                }
                $of = DeviceRef::lane($host->id, $socket->id, $lane->id);
                $name = $this->namedAfterPartner($this->systemName($of), $ref);
                if ($name !== null) {
                    $device = $this->device($host->id, $of, $lane->device, $name, $settings);
                    $devices[(string) $device->ref] = $device;
                }
            }
            if ($socket->link === LinkRole::Host) {
                $seen = [$host->id => true];
                $devices += $this->behind($host, $ref, [], $seen, $settings);
            }
        }
        // What the system offers of itself (a recording of what is played, say), and what programs install.
        foreach ([$host, ...$programs] as $program) {
            foreach ($this->rig->modelOf($program)->points as $point) {
                if ($point->device !== null) {
                    $of = DeviceRef::point($program->id, $point->id);
                    $device = $this->device($host->id, $of, $point->device, $this->systemName($of), $settings);
                    $devices[(string) $device->ref] = $device;
                }
            }
        }
        foreach ($settings as $key => $set) {
            if (! isset($devices[$key])) {
                $offer = $this->offer($set->device);
                $devices[$key] = $this->device(
                    $host->id,
                    $set->device,
                    $offer,
                    str_replace(DeviceNames::PARTNER, 'nothing', $this->systemName($set->device)),
                    $settings,
                    isConnected: false,
                );
            }
        }

        return $devices;
    }

    /**
     * What a host or downstream socket reaches.
     *
     * @param  list<array{cable: string, hub: string|null}>  $via
     * @param  array<string, true>  $seen  units that have been come to from this socket: each is looked into once, by whichever way leads
     *     there first
     * @param  array<string, DeviceSettings>  $settings
     * @return array<string, Device>
     */
    private function behind(Unit $host, SocketRef $here, array $via, array &$seen, array $settings): array
    {
        $devices = [];
        foreach ($this->wiring->at($here) as $cable) {
            $there = $this->wiring->across($cable, $here);
            $socket = $this->rig->socket($there);
            if (isset($seen[$there->unit])) {
                continue;
            }
            if ($socket->link === LinkRole::Device) {
                $to = [...$via, ['cable' => $cable->id, 'hub' => null]];
                foreach ($socket->lanes as $lane) {
                    if ($lane->device !== null) {
                        $of = DeviceRef::lane($there->unit, $there->socket, $lane->id);
                        $device = $this->device($host->id, $of, $lane->device, $this->systemName($of), $settings, $to);
                        $devices[(string) $device->ref] = $device;
                    }
                }
            } elseif ($socket->link === LinkRole::Upstream) {
                $seen[$there->unit] = true;
                foreach ($this->rig->modelOf($there->unit)->sockets as $down) {
                    if ($down->link === LinkRole::Downstream) {
                        $devices += $this->behind(
                            $host,
                            new SocketRef($there->unit, $down->id),
                            [...$via, ['cable' => $cable->id, 'hub' => $there->unit]],
                            $seen,
                            $settings,
                        );
                    }
                }
            }
        }

        return $devices;
    }

    /** A picture output is a device only while it reaches something, and is named after it. */
    private function namedAfterPartner(string $systemName, SocketRef $socket): ?string
    {
        if (! str_contains($systemName, DeviceNames::PARTNER)) {
            return $systemName;
        }
        $cable = $this->wiring->at($socket)[0] ?? null;
        if ($cable === null || $this->wiring->lanesOf($cable) === []) {
            return null;
        }

        $partner = $this->rig->modelOf($this->wiring->across($cable, $socket)->unit)->name;

        return str_replace(DeviceNames::PARTNER, DeviceNames::inside($partner), $systemName);
    }

    /**
     * @param  array<string, DeviceSettings>  $settings
     * @param  list<array{cable: string, hub: string|null}>  $via
     */
    private function device(
        string $computer,
        DeviceRef $ref,
        DeviceOffer $offer,
        string $name,
        array $settings,
        array $via = [],
        bool $isConnected = true,
    ): Device {
        $model = $this->rig->modelOf($ref->unit);
        $lane = $ref->lane === null ? null : $model->sockets[$ref->givenBy]->lanes[$ref->lane];
        $point = $lane === null ? $ref->givenBy : $lane->point;
        $channels = $lane?->channels;
        $set = $settings[(string) $ref] ?? null;
        [$db, $isMuted] = $this->level($computer, $ref, $set);
        $keptOutBy = $isConnected ? $this->keptOutBy($ref) : null;
        $measured = $this->measured["units/{$ref->unit}/sockets/{$ref->givenBy}"] ?? null;

        return new Device(
            $computer,
            $ref,
            $offer->direction,
            $name,
            $point,
            $channels,
            $channels === null ? $model->points[$point]->channels : count($channels),
            $measured === null ? $offer->latency : Milliseconds::of($measured),
            $via,
            $isConnected && $keptOutBy === null,
            $set,
            $this->roles($computer, $ref, $offer->direction, $set),
            $db,
            $isMuted,
            $keptOutBy,
        );
    }

    /** The mode of its unit that keeps a device out of the list: "USB mode is One pair"; null where none does. */
    private function keptOutBy(DeviceRef $ref): ?string
    {
        $unit = $this->rig->units[$ref->unit];
        foreach ($this->rig->modelOf($unit)->settings as $setting) {
            if (! $setting->listsDevices()) {
                continue;
            }
            $value = $unit->value($setting);
            foreach ($this->values as $set) {
                $value = $set->unit === $unit->id && $set->setting === $setting->id ? $set->value : $value;
            }
            if ($setting->hides($ref->inside(), $value)) {
                return "{$setting->label} is {$setting->words($value)}";
            }
        }

        return null;
    }

    /** @return array{Decibels|null, bool} the system's level of a device, and whether it is muted there */
    private function level(string $computer, DeviceRef $ref, ?DeviceSettings $set): array
    {
        foreach ($this->levels as $level) {
            if ($level->computer === $computer && (string) $level->device === (string) $ref) {
                return [$level->db ?? $set?->db, $level->mute ?? $set->mute ?? false];
            }
        }

        return [$set?->db, $set->mute ?? false];
    }

    /** @return list<Role> what the system uses a device for by default */
    private function roles(string $computer, DeviceRef $ref, Direction $direction, ?DeviceSettings $settings): array
    {
        $roles = $settings->roles ?? [];
        foreach ($this->defaults as $default) {
            if ($default->computer === $computer && $default->direction === $direction) {
                $roles = array_values(array_filter($roles, fn (Role $role) => $role !== $default->role));
                $roles = (string) $default->device === (string) $ref ? [...$roles, $default->role] : $roles;
            }
        }

        return $roles;
    }

    private function systemName(DeviceRef $ref): string
    {
        return DeviceNames::of($this->rig->modelOf($ref->unit), $ref->givenBy, $ref->lane);
    }

    private function offer(DeviceRef $ref): DeviceOffer
    {
        $offer = $this->rig->modelOf($ref->unit)->offer($ref->givenBy, $ref->lane);
        assert($offer !== null, 'Rig checks that settings name a device');

        return $offer;
    }
}
