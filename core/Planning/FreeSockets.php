<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Equipment\DeviceNames;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\SocketRef;

/** The sockets with nothing in them, and what a cable in them would do for a cell. */
final class FreeSockets
{
    /** @var list<SocketRef> */
    public readonly array $all;

    /** @var array<string, SocketRef>|null */
    private ?array $allAudio = null;

    /** @var array<string, SocketRef>|null */
    private ?array $allGiving = null;

    /** @var array<string, SocketRef>|null */
    private ?array $allTaking = null;

    /** @var array<string, bool> */
    private array $giving = [];

    /** @var array<string, bool> */
    private array $taking = [];

    /**
     * @var array<array-key, array<array-key, true>> by place: units of which a program there wants a device, or a default is, that its
     *     computer does not have now
     */
    private array $wanted;

    /** @var array<string, true> device lanes that programs pick */
    private array $pickedLanes;

    public function __construct(private readonly Trouble $trouble)
    {
        $rig = $trouble->rig;
        $free = [];
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->sockets as $socket) {
                $at = new SocketRef($unit->id, $socket->id);
                if ($trouble->wiring->at($at) === []) {
                    $free[] = $at;
                }
            }
        }
        $this->all = $free;
        $wanted = $picked = [];
        $picks = array_values($rig->picks);
        foreach ($trouble->graph->state->situation->changes as $change) {
            if ($change->set instanceof Pick) {
                $picks[] = $change->set;
            }
        }
        foreach ($picks as $pick) {
            $place = $rig->units[$pick->at->unit]->place;
            $picked[(string) $pick->device] = true;
            if ($pick->device !== null && ! $this->has($place, $pick->device)) {
                $wanted[$place][$pick->device->unit] = true;
            }
        }
        foreach ($rig->devices as $set) {
            $place = $rig->units[$set->computer]->place;
            if (! $this->has($place, $set->device)) {
                $wanted[$place][$set->device->unit] = true;
            }
        }
        $this->pickedLanes = $picked;
        $this->wanted = $wanted;
    }

    /** Whether the computer of a place has a device now. */
    private function has(string $place, DeviceRef $device): bool
    {
        $host = $this->trouble->rig->hostOf($place);

        return $host !== null && ($this->trouble->graph->devices->of($host->id)[(string) $device]->isConnected ?? false);
    }

    /** What it costs more that two sockets that fit are meant for different kinds of signal. */
    public function strangeness(SocketRef $from, SocketRef $to): int
    {
        foreach ($this->socket($from)->lanesGoing(Way::Out) as $out) {
            foreach ($this->socket($to)->lanesGoing(Way::In) as $in) {
                if ($out->signal->suits($in->signal)) {
                    return 0;
                }
            }
        }

        return Cost::OTHER_SIGNAL;
    }

    public function socket(SocketRef $at): Socket
    {
        return $this->trouble->rig->socket($at);
    }

    /** Whether the sound is there at a socket that gives; at a picture socket of a computer it may be, once something is plugged. */
    public function gives(SocketRef $at): bool
    {
        return $this->giving[(string) $at] ??= $this->isGiving($at);
    }

    /** Whether the listener would hear what enters by a socket. */
    public function takes(SocketRef $at): bool
    {
        return $this->taking[(string) $at] ??= $this->isTaking($at);
    }

    /** @return array<string, SocketRef> audio sockets at which the sound is there, by reference */
    public function giving(): array
    {
        return $this->allGiving ??= array_filter($this->audio(), $this->gives(...));
    }

    /** @return array<string, SocketRef> audio sockets by which the listener would hear it */
    public function taking(): array
    {
        return $this->allTaking ??= array_filter($this->audio(), $this->takes(...));
    }

    /** @return array<string, SocketRef> audio sockets of one unit */
    public function of(string $unit): array
    {
        return array_filter($this->audio(), fn (SocketRef $at) => $at->unit === $unit);
    }

    /** @return array<string, SocketRef> sockets of computers and hubs that take a device */
    public function ofHosts(): array
    {
        return $this->byName(array_filter($this->all, $this->isOfHost(...)));
    }

    /** @return array<string, SocketRef> */
    private function audio(): array
    {
        return $this->allAudio ??= $this->byName(array_filter($this->all, fn (SocketRef $at) => $this->socket($at)->link === null));
    }

    /**
     * @param  array<SocketRef>  $sockets
     * @return array<string, SocketRef>
     */
    private function byName(array $sockets): array
    {
        return array_combine(array_map(strval(...), $sockets), $sockets);
    }

    private function isGiving(SocketRef $at): bool
    {
        foreach ($this->socket($at)->lanesGoing(Way::Out) as $lane) {
            if (DeviceNames::isOfPartner($this->trouble->rig->modelOf($at->unit), $at->socket, $lane->id)
                || $this->trouble->region->reaches(new PointRef($at->unit, $lane->point))) {
                return true;
            }
        }

        return false;
    }

    private function isTaking(SocketRef $at): bool
    {
        foreach ($this->socket($at)->lanesGoing(Way::In) as $lane) {
            if ($this->trouble->region->leadsOn(new PointRef($at->unit, $lane->point))) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a unit belongs on the bus of a computer, or of a hub: a program there wants one of its devices, or it is a hub by which
     * something may be wanted.
     */
    public function belongs(SocketRef $device, SocketRef $host): bool
    {
        $place = $this->trouble->rig->units[$host->unit]->place;

        return $this->wanted !== [] && ($this->socket($device)->link === LinkRole::Upstream || isset($this->wanted[$place][$device->unit])
            || ($this->socket($host)->link === LinkRole::Downstream
                && array_filter($this->wanted, fn (array $units) => isset($units[$device->unit])) !== []));
    }

    public function isOfDevice(SocketRef $at): bool
    {
        return in_array($this->socket($at)->link, [LinkRole::Device, LinkRole::Upstream], true);
    }

    public function isOfHost(SocketRef $at): bool
    {
        return in_array($this->socket($at)->link, [LinkRole::Host, LinkRole::Downstream], true);
    }

    /**
     * Whether a socket hangs loose: of a unit that only hands a sound on and is plugged at another side, or that is of no use unplugged;
     * or one that a program listens to.
     */
    public function isDangling(SocketRef $at): bool
    {
        $model = $this->trouble->rig->modelOf($at->unit);
        $used = array_filter(
            $model->sockets,
            fn (Socket $socket) => $this->trouble->wiring->at(new SocketRef($at->unit, $socket->id)) !== [],
        );
        if ($model->family->isHost()) {
            return array_filter($this->socket($at)->lanes, fn ($lane) => isset($this->pickedLanes["{$at}/{$lane->id}"])) !== [];
        }

        return $model->family->handsOn() ? $used !== [] : ($model->family->isEndOfLine() && $used === []);
    }
}
