<?php

declare(strict_types=1);

namespace HiddenWire\Core\Planning;

use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\DeviceRef;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Signal\SignalGraph;

/** The sockets of a rig with nothing in them, and which devices programs want that are not there: the same for every cell. */
final class EmptySockets
{
    /** @var list<SocketRef> */
    public readonly array $all;

    /** @var array<string, SocketRef>|null */
    private ?array $allAudio = null;

    /** @var array<string, SocketRef>|null */
    private ?array $allOfHosts = null;

    /**
     * @var array<array-key, array<array-key, true>> by place: units of which a program there wants a device, or a default is, that its
     *     computer does not have now
     */
    private array $wanted;

    /** @var array<string, true> device lanes that programs pick */
    private array $pickedLanes;

    public function __construct(private readonly SignalGraph $graph)
    {
        $rig = $graph->rig;
        $free = [];
        foreach ($rig->units as $unit) {
            foreach ($rig->modelOf($unit)->sockets as $socket) {
                $at = new SocketRef($unit->id, $socket->id);
                if ($graph->wiring()->at($at) === []) {
                    $free[] = $at;
                }
            }
        }
        $this->all = $free;
        $wanted = $picked = [];
        $picks = array_values($rig->picks);
        foreach ($graph->state->situation->changes as $change) {
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
        $host = $this->graph->rig->hostOf($place);

        return $host !== null && ($this->graph->devices->of($host->id)[(string) $device]->isConnected ?? false);
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
        return $this->graph->rig->socket($at);
    }

    /** @return array<string, SocketRef> sockets of computers and hubs that take a device */
    public function ofHosts(): array
    {
        return $this->allOfHosts ??= $this->byName(array_filter($this->all, $this->isOfHost(...)));
    }

    /** @return array<string, SocketRef> those that are for sound, by reference */
    public function audio(): array
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

    /**
     * Whether a unit belongs on the bus of a computer, or of a hub: a program there wants one of its devices, or it is a hub by which
     * something may be wanted.
     */
    public function belongs(SocketRef $device, SocketRef $host): bool
    {
        $place = $this->graph->rig->units[$host->unit]->place;

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
        $model = $this->graph->rig->modelOf($at->unit);
        $used = array_filter(
            $model->sockets,
            fn (Socket $socket) => $this->graph->wiring()->at(new SocketRef($at->unit, $socket->id)) !== [],
        );
        if ($model->family->isHost()) {
            return array_filter($this->socket($at)->lanes, fn ($lane) => isset($this->pickedLanes["{$at}/{$lane->id}"])) !== [];
        }

        return $model->family->handsOn() ? $used !== [] : ($model->family->isEndOfLine() && $used === []);
    }
}
