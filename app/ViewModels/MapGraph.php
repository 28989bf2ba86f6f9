<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;
use HiddenWire\Core\Signal\SignalGraph;

/** The contents of the map at one depth, before anything is laid out: places, plates with their ports, lines. */
final class MapGraph
{
    /** @var array<string, list<MapPlate>> by place */
    public array $plates = [];

    /** @var list<MapEdge> */
    public array $edges = [];

    /** @var array<string, true> sockets with a cable in them */
    private array $plugged = [];

    private readonly Rig $rig;

    private readonly Wiring $wiring;

    public function __construct(private readonly SignalGraph $graph, public readonly MapDepth $depth)
    {
        $this->rig = $graph->rig;
        $this->wiring = new Wiring($this->rig);
        foreach ($this->rig->cables as $cable) {
            $this->plugged[(string) $cable->from] = $this->plugged[(string) $cable->to] = true;
        }
        foreach ($this->rig->places as $place) {
            $this->plates[$place->id] = [];
        }
        foreach ($this->rig->units as $unit) {
            $model = $this->rig->modelOf($unit);
            if (! $model->isProgram() || $depth->showsInsides()) {
                $this->plates[$unit->place][] = $this->plate($unit, $model);
            }
        }
        foreach ($this->rig->cables as $cable) {
            $this->edges[] = $this->cableEdge($cable->id, $cable->from, $cable->to, $cable->label);
        }
        if ($depth->showsInsides()) {
            $this->pickEdges();
        }
    }

    /** The same structure has the same hash: a layout stays as long as nothing that it depends on changed. */
    public function structure(): string
    {
        return sha1((string) json_encode($this->forLayout()));
    }

    /**
     * What the layout needs, in its own terms: sizes, ports in order, edges with the room that their labels want.
     *
     * @return array{places: list<array<string, mixed>>, edges: list<array<string, mixed>>}
     */
    public function forLayout(): array
    {
        $places = [];
        foreach ($this->plates as $id => $plates) {
            if ($plates === []) {
                continue;
            }
            $name = $this->rig->places[$id]->name;
            $places[] = [
                'id' => $id,
                'least' => (int) ceil(TextWidth::of($name, 13.5) + TextWidth::of($this->rig->places[$id]->kind->value, 11) + 60),
                'plates' => array_map(fn (MapPlate $plate) => [
                    'id' => $plate->unit, 'width' => $plate->width(), 'height' => $plate->height(),
                    'left' => array_map(fn (MapPort $port) => $port->id, $plate->left),
                    'right' => array_map(fn (MapPort $port) => $port->id, $plate->right),
                ], $plates),
            ];
        }

        return ['places' => $places, 'edges' => array_map(fn (MapEdge $edge) => [
            'id' => $edge->id,
            'from' => $edge->from,
            'to' => $edge->to,
            'label' => $edge->label === '' ? 0 : (int) ceil(TextWidth::of($edge->label, 11) + 12),
        ], $this->edges)];
    }

    private function plate(Unit $unit, EquipmentModel $model): MapPlate
    {
        $left = $right = [];
        foreach ($model->sockets as $socket) {
            $ref = "{$unit->id}/{$socket->id}";
            $isFree = ! isset($this->plugged[$ref]);
            if (! $isFree || $this->depth->showsFreeSockets()) {
                $port = new MapPort($ref, $socket->label, self::isOutSocket($socket), 'socket', $isFree);
                $port->isOut ? $right[] = $port : $left[] = $port;
            }
        }
        if ($model->family->isHost()) {
            $this->hostPorts($unit, $left, $right);
        }
        if ($model->isProgram()) {
            foreach ($model->points as $point) {
                $isPicked = $this->graph->state->pick($unit->id, $point->id) !== null;
                $isVirtual = $point->device !== null && $this->isUsed($unit, "{$unit->id}/{$point->id}");
                $isEar = $point->kind === PointKind::Ear && $this->hasListener("{$unit->id}/{$point->id}");
                if ($isPicked || $isVirtual || $isEar
                    || ($this->depth === MapDepth::Everything && ($point->picks !== null || $point->device !== null))) {
                    $isOut = $point->picks === Direction::Playback || $point->device?->direction === Direction::Recording || $isEar;
                    $port = new MapPort(
                        "{$unit->id}/{$point->id}",
                        $point->label,
                        $isOut,
                        'point',
                        ! $isPicked && ! $isVirtual && ! $isEar,
                    );
                    $port->isOut ? $right[] = $port : $left[] = $port;
                }
            }
        }
        $insides = $this->depth->showsInsides() && ! $model->family->isHost()
            ? (new PlateInsides($this->graph, $this->depth === MapDepth::Everything))->of($unit, $model, $left, $right)
            : [];

        return new MapPlate(
            $unit->id,
            $unit->name,
            $this->caption($unit, $model),
            $model->isProgram(),
            $left,
            $right,
            $insides,
            $this->depth->showsInsides(),
        );
    }

    /**
     * At the Cables depth the sockets of a computer's programs (a call's session) stand on the closed box; deeper, its devices stand there.
     *
     * @param  list<MapPort>  $left
     * @param  list<MapPort>  $right
     */
    private function hostPorts(Unit $host, array &$left, array &$right): void
    {
        if (! $this->depth->showsInsides()) {
            foreach ($this->programsAt($host->place) as $program) {
                foreach ($this->rig->modelOf($program)->sockets as $socket) {
                    $ref = "{$program->id}/{$socket->id}";
                    if (isset($this->plugged[$ref]) || $this->depth->showsFreeSockets()) {
                        $right[] = new MapPort($ref, $program->name, true, 'socket', ! isset($this->plugged[$ref]));
                    }
                }
            }

            return;
        }
        foreach ($this->graph->devices->of($host->id) as $device) {
            // What is built in has no socket either.
            $isVirtual = $device->ref->lane === null && $device->ref->unit !== $host->id;
            $isUsed = $this->isUsed($host, (string) $device->ref);
            if ($isVirtual || (! $isUsed && $this->depth !== MapDepth::Everything)) {
                continue;
            }
            $port = new MapPort(
                $this->devicePort($device),
                TextWidth::cut($device->name(), 11.5, 120),
                $device->direction === Direction::Recording,
                'device',
                ! $isUsed,
            );
            $port->isOut ? $right[] = $port : $left[] = $port;
        }
    }

    /** Devices are on their computer's plate; what a program installs is on the program's own. */
    private function devicePort(Device $device): string
    {
        return $device->ref->lane === null ? (string) $device->ref : "device {$device->computer} {$device->ref}";
    }

    private function pickEdges(): void
    {
        foreach ($this->rig->units as $unit) {
            foreach ($this->rig->modelOf($unit)->points as $point) {
                $device = $this->graph->picked($unit, $point);
                if ($device === null) {
                    continue;
                }
                $at = "{$unit->id}/{$point->id}";
                $isOut = $point->picks === Direction::Playback;
                $this->edges[] = new MapEdge(
                    "pick:{$at}",
                    $isOut ? $at : $this->devicePort($device),
                    $isOut ? $this->devicePort($device)
                    : $at,
                    '',
                    Realm::Computer,
                    $isOut ? "{$point->label} of {$unit->name} plays to {$device->name()}"
                        : "{$point->label} of {$unit->name} takes {$device->name()}",
                    $device->isUsable(),
                );
            }
        }
    }

    private function cableEdge(string $id, SocketRef $from, SocketRef $to, string $label): MapEdge
    {
        $a = $this->rig->socket($from);
        $b = $this->rig->socket($to);
        $lanes = $this->wiring->lanesOf($this->rig->cables[$id]);
        $signal = $lanes === [] ? $a->signal : $this->rig->lane($lanes[0][0]->unit, $lanes[0][0]->socket, $lanes[0][1])->signal;
        $forward = self::isOutSocket($a) || ! self::isOutSocket($b);
        $words = "{$label}: {$a->label} of {$this->rig->units[$from->unit]->name} to {$b->label} of {$this->rig->units[$to->unit]->name}";

        return new MapEdge(
            "cable:{$id}",
            (string) ($forward ? $from : $to),
            (string) ($forward ? $to : $from),
            $label,
            Realm::ofCable($this->rig->cables[$id]->type, $signal),
            $words,
        );
    }

    /** A socket that gives sound, or belongs to a computer, is on the right. */
    public static function isOutSocket(Socket $socket): bool
    {
        $first = array_values($socket->lanes)[0] ?? null;

        return match ($socket->link) {
            LinkRole::Device, LinkRole::Upstream => true,
            LinkRole::Host, LinkRole::Downstream => false,
            null => $first?->way === Way::Out,
        };
    }

    /** @return list<Unit> */
    private function programsAt(string $place): array
    {
        return array_values(array_filter(
            $this->rig->units,
            fn (Unit $unit) => $unit->place === $place && $this->rig->modelOf($unit)->isProgram(),
        ));
    }

    private function isUsed(Unit $at, string $device): bool
    {
        foreach ($this->programsAt($at->place) as $program) {
            foreach ($this->rig->modelOf($program)->points as $point) {
                if ((string) $this->graph->picked($program, $point)?->ref === $device) {
                    return true;
                }
            }
        }

        return false;
    }

    private function hasListener(string $point): bool
    {
        foreach ($this->rig->listeners as $listener) {
            foreach ($listener->at as $ear) {
                if ((string) $ear === $point) {
                    return true;
                }
            }
        }

        return false;
    }

    private function caption(Unit $unit, EquipmentModel $model): string
    {
        if (! $model->family->isHost() || $this->depth->showsInsides()) {
            return $model->name === $unit->name ? '' : $model->name;
        }
        $programs = count($this->programsAt($unit->place));
        $devices = count($this->graph->devices->of($unit->id));

        return "{$programs} ".($programs === 1 ? 'program' : 'programs')." · {$devices} ".($devices === 1 ? 'device' : 'devices');
    }
}
