<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Models\User;
use App\Rigs\CatalogueFiles;
use HiddenWire\Core\Book\Plugs;
use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Edit\PutBetween;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Planning\Between;
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

    /**
     * @param  Unit|null  $unit  what is selected: a unit, a cable, or neither (then a socket)
     * @param  User|null  $user  whose own models can be put in between, beside the catalogue's
     */
    public function __construct(
        private Hearing $hearing,
        public ?Unit $unit = null,
        public ?Cable $cable = null,
        private ?User $user = null,
    ) {
        $this->rig = $hearing->rig;
        $this->wiring = new Wiring($this->rig);
    }

    /**
     * @return list<array{ref: string, socket: string, words: string, cables: list<array{id: string, label: string, to: string}>,
     *     takes: array<string, string>, turns: array<string, string>}> with the free sockets that can take a free one's other end, or that
     *     of a lead that uses a taken one in turn
     */
    public function sockets(Unit $unit): array
    {
        $rows = [];
        foreach ($this->rig->modelOf($unit)->sockets as $socket) {
            $at = new SocketRef($unit->id, $socket->id);
            $rows[] = [
                'ref' => (string) $at,
                'takes' => $this->wiring->at($at) === [] ? $this->elsewhere($at) : [],
                'turns' => $this->wiring->at($at) === [] || $socket->connector->takesSeveral() || count($this->rig->situations) === 1
                    ? [] : $this->elsewhere($at),
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

    /**
     * @return list<array{point: Point, control: Dial|null, says: string, pick: array{point: Point, now: string, choices: array<string,
     *     string>, channels: string, width: int, level: array{db: string, mute: bool, says: string}|null}|null}> what is set on the unit
     */
    public function controls(Unit $unit): array
    {
        $rows = [];
        foreach ($this->rig->modelOf($unit)->points as $point) {
            if ($point->isControlled() || $point->picks !== null) {
                $pick = $point->picks === null ? null : Computer::pickOf($this->hearing, $unit, $point);
                $rows[] = [
                    'point' => $point,
                    'control' => $point->isControlled()
                        ? new Dial($unit->id, $point, $this->hearing->graph()->state, $this->hearing->rig->modelOf($unit)) : null,
                    'says' => $this->picked($unit, $point),
                    'pick' => $pick,
                ];
            }
        }

        return $rows;
    }

    /** What a program's in or out comes to now, where there is more to say than what is chosen. */
    private function picked(Unit $unit, Point $point): string
    {
        $pick = $point->picks === null ? null : $this->hearing->graph()->state->pick($unit->id, $point->id);
        $device = $pick === null ? null : $this->hearing->graph()->picked($unit, $point);

        return match (true) {
            $pick === null => '',
            $device === null => 'comes to no device',
            ! $device->isUsable() => "{$device->name()} gives nothing, it is {$device->trouble()}",
            $pick->default !== null => "now {$device->name()}",
            default => '',
        };
    }

    /**
     * @return list<array{bus: string, feeds: list<array{key: string, from: string, on: bool, says: string, canSwitch: bool}>}> what each
     *     point gets that can be fed in more than one way
     */
    public function mixes(Unit $unit): array
    {
        $model = $this->rig->modelOf($unit);
        $feeds = [];
        foreach ($model->routes as $route) {
            if ($route->can !== []) {
                $now = $this->hearing->graph()->state->route($unit->id, $route);
                $feeds[$route->to][] = [
                    'key' => $route->key(),
                    'from' => $model->points[$route->from]->label,
                    'on' => $now->on,
                    'says' => $now->db->number() === 0 ? '' : $now->db->text().' dB',
                    'canSwitch' => $route->allows(RouteSetting::On),
                ];
            }
        }

        return array_map(fn (string|int $to) => ['bus' => $model->points[(string) $to]->label, 'feeds' => $feeds[$to]], array_keys($feeds));
    }

    /** @return list<Device> */
    public function devices(Unit $unit): array
    {
        return array_values($this->hearing->graph()->devices->of($unit->id));
    }

    /** @return list<Unit> */
    public function programs(Unit $host): array
    {
        return array_values(array_filter(
            $this->rig->units,
            fn (Unit $unit) => $unit->place === $host->place && $this->rig->modelOf($unit)->isProgram(),
        ));
    }

    /** @return array<string, list<string>> names of the listeners that are reached through what is selected, by source */
    public function carries(): array
    {
        $element = $this->unit->id ?? $this->cable->id ?? null;
        if ($element === null) {
            return [];
        }
        $isCable = $this->cable !== null;
        $carried = [];
        foreach ($this->hearing->all() as $pair) {
            foreach ($pair->arrivals() as $arrival) {
                foreach ($arrival->hops as $hop) {
                    $isHere = $isCable ? $hop->kind === HopKind::Cable && $hop->ref === $element
                        : $hop->ref === $element || str_starts_with($hop->ref, "{$element}/")
                            || ($hop->pick !== null && str_starts_with((string) $hop->pick, "{$element}/"));
                    if ($isHere && ! in_array($pair->listener->name, $carried[$pair->source->id] ?? [], true)) {
                        $carried[$pair->source->id][] = $pair->listener->name;
                    }
                }
            }
        }

        return $carried;
    }

    /** What a cable is: "TRS cable, 3.5 mm to 6.35 mm"; a plug of a Y-lead is that, and no cable of its own. */
    public function lead(Cable $cable): string
    {
        $own = $this->wiring->leadOf($cable);
        [$type, $plugs] = [...explode(', ', (new Plugs($this->rig))->of($cable), 2), ''];

        return $own === null ? "{$type} cable".($plugs === '' ? '' : ", {$plugs}")
            : "a plug of {$this->rig->units[$own->unit]->name}".($plugs === '' ? '' : ", {$plugs}");
    }

    /** @return list<PutBetween> what can be put into a cable, or stand between two sockets */
    public function between(SocketRef $from, SocketRef $to): array
    {
        $models = $this->user === null ? [] : CatalogueFiles::with($this->user);

        return (new Between($this->rig, Catalogue::holding($models)))->offers($from, $to);
    }

    /** @return array<string, string> where the one end of a cable could be plugged instead, the other end staying */
    public function elsewhere(SocketRef $stays): array
    {
        return (new Joins($this->rig, $this->wiring, $stays))->fits;
    }

    /** @return list<Cable> */
    public function cablesAt(SocketRef $at): array
    {
        return $this->wiring->at($at);
    }

    /** @return array<string, string> what a reason can be given for here, by reference */
    public function reasonable(): array
    {
        return match (true) {
            $this->unit !== null => ReasonTargets::ofUnit($this->rig, $this->unit),
            $this->cable !== null => ReasonTargets::ofCable($this->cable),
            default => [],
        };
    }

    /** @return array<string, string> reasons that are written down, by what they are about */
    public function reasons(): array
    {
        $said = [];
        foreach ($this->reasonable() as $ref => $name) {
            $reason = $this->rig->papers->reasonFor($ref);
            if ($reason !== null) {
                $said[$name] = $reason->words();
            }
        }

        return $said;
    }

    public function socketName(string $unit, string $socket): string
    {
        return $this->rig->modelOf($unit)->sockets[$socket]->label.' of '.$this->rig->units[$unit]->name;
    }
}
