<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\Mating;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\Hearing;
use HiddenWire\Core\Signal\HopKind;

/** What there is to say about the selected unit or cable. */
final readonly class Sheet
{
    private Rig $rig;

    private Wiring $wiring;

    public function __construct(private Hearing $hearing)
    {
        $this->rig = $hearing->graph->rig;
        $this->wiring = new Wiring($this->rig);
    }

    /** @return list<array{ref: string, socket: string, words: string, cables: list<array{id: string, label: string, to: string}>, takes: array<string, string>}> with the free sockets that can take a free one's other end */
    public function sockets(Unit $unit): array
    {
        $rows = [];
        foreach ($this->rig->modelOf($unit)->sockets as $socket) {
            $at = new SocketRef($unit->id, $socket->id);
            $rows[] = [
                'ref' => (string) $at,
                'takes' => $this->wiring->at($at) === [] ? $this->takers($at) : [],
                'socket' => $socket->label,
                'words' => $socket->connector->words(),
                'cables' => array_map(function (Cable $cable) use ($at): array {
                    $there = $this->wiring->across($cable, $at);

                    return ['id' => $cable->id, 'label' => $cable->label, 'to' => $this->socketName($there->unit, $there->socket)];
                }, $this->wiring->at($at)),
            ];
        }

        return $rows;
    }

    /** @return list<array{id: string, point: string, says: string, mute: bool|null, choice: array{now: string, devices: array<string, string>}|null, fader: array{db: int|float, from: int|float, to: int|float}|null}> what is set on the unit */
    public function controls(Unit $unit): array
    {
        $state = $this->hearing->graph->state;
        $rows = [];
        foreach ($this->rig->modelOf($unit)->points as $point) {
            $says = array_filter([
                $point->gain === null ? '' : 'gain '.$state->gain($unit->id, $point)->text().' dB',
                $point->fader === null ? '' : ($point->fader->isShutAt($state->fader($unit->id, $point)) ? 'fader shut' : 'fader '.$state->fader($unit->id, $point)->text().' dB'),
                $point->mute === null || ! $state->isMuted($unit->id, $point) ? '' : 'muted',
                $point->mono === null || ! $state->isMono($unit->id, $point) ? '' : 'mono',
            ]);
            $pick = $point->picks === null ? null : $state->pick($unit->id, $point->id);
            if ($pick !== null) {
                $device = $this->hearing->graph->picked($unit, $point);
                array_unshift($says, ($pick->tap === null ? '' : 'what is sent to ').($device?->name() ?? 'no device').($pick->default === null ? '' : ' (by default)')
                    .($device !== null && ! $device->isUsable() ? ', which gives nothing' : ''));
            }
            if ($says !== [] || $point->mute !== null || $point->picks !== null) {
                $rows[] = [
                    'id' => $point->id, 'point' => $point->label, 'says' => implode(' · ', $says), 'mute' => $point->mute === null ? null : $state->isMuted($unit->id, $point),
                    'choice' => $this->choice($unit, $point),
                    'fader' => $point->fader === null ? null : ['db' => $state->fader($unit->id, $point)->number(), 'from' => $point->fader->from->number(), 'to' => $point->fader->to->number()],
                ];
            }
        }

        return $rows;
    }

    /** @return list<array{bus: string, feeds: list<array{key: string, from: string, on: bool, says: string, canSwitch: bool}>}> what each point gets that can be fed in more than one way */
    public function mixes(Unit $unit): array
    {
        $model = $this->rig->modelOf($unit);
        $feeds = [];
        foreach ($model->routes as $route) {
            if ($route->can !== []) {
                $now = $this->hearing->graph->state->route($unit->id, $route);
                $feeds[$route->to][] = [
                    'key' => $route->key(), 'from' => $model->points[$route->from]->label, 'on' => $now->on, 'says' => $now->db->number() === 0 ? '' : $now->db->text().' dB',
                    'canSwitch' => $route->allows(RouteSetting::On),
                ];
            }
        }

        return array_map(fn (string|int $to) => ['bus' => $model->points[(string) $to]->label, 'feeds' => $feeds[$to]], array_keys($feeds));
    }

    /** @return list<Device> */
    public function devices(Unit $unit): array
    {
        return array_values($this->hearing->graph->devices->of($unit->id));
    }

    /** @return list<Unit> */
    public function programs(Unit $host): array
    {
        return array_values(array_filter($this->rig->units, fn (Unit $unit) => $unit->place === $host->place && $this->rig->modelOf($unit)->isProgram()));
    }

    /** @return array<string, list<string>> names of the listeners that are reached through an element, by source */
    public function carries(string $element, bool $isCable): array
    {
        $carried = [];
        foreach ($this->hearing->all() as $pair) {
            foreach ($pair->arrivals as $arrival) {
                foreach ($arrival->hops as $hop) {
                    $isHere = $isCable ? $hop->kind === HopKind::Cable && $hop->ref === $element
                        : $hop->ref === $element || str_starts_with($hop->ref, "{$element}/") || ($hop->pick !== null && str_starts_with($hop->pick, "{$element}/"));
                    if ($isHere && ! in_array($pair->listener->name, $carried[$pair->source->id] ?? [], true)) {
                        $carried[$pair->source->id][] = $pair->listener->name;
                    }
                }
            }
        }

        return $carried;
    }

    /** @return array{now: string, devices: array<string, string>}|null what a program's in or out can use, and what it uses */
    private function choice(Unit $program, Point $point): ?array
    {
        $host = $this->rig->hostOf($program->place);
        if ($point->picks === null || $host === null) {
            return null;
        }
        $pick = $this->hearing->graph->state->pick($program->id, $point->id);
        $devices = ['' => 'nothing', 'system' => 'the system default', 'call' => 'the call default'];
        foreach ($this->hearing->graph->devices->of($host->id) as $ref => $device) {
            if ($device->direction === $point->picks && $device->ref->unit !== $program->id) {
                $devices[$ref] = $device->name();
            } elseif ($point->picks === Direction::Recording && $device->ref->unit !== $program->id) {
                $devices[$ref] = "what is sent to {$device->name()}";
            }
        }

        return ['now' => $pick === null ? '' : (string) ($pick->device ?? $pick->default?->value), 'devices' => $devices];
    }

    /** @return array<string, string> what the free sockets that fit are called, by reference */
    private function takers(SocketRef $at): array
    {
        $here = $this->rig->socket($at);
        $takers = [];
        foreach ($this->rig->units as $unit) {
            foreach ($this->rig->modelOf($unit)->sockets as $socket) {
                $ref = new SocketRef($unit->id, $socket->id);
                if ($unit->id !== $at->unit && $this->wiring->at($ref) === [] && Mating::cable($here, $socket) !== null) {
                    $takers[(string) $ref] = $this->socketName($unit->id, $socket->id);
                }
            }
        }

        return $takers;
    }

    public function socketName(string $unit, string $socket): string
    {
        return $this->rig->modelOf($unit)->sockets[$socket]->label.' of '.$this->rig->units[$unit]->name;
    }
}
