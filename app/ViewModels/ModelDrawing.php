<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Signal\GraphBuilder;

/** An equipment model as a plate: its sockets, and what joins inside when it is new. */
final readonly class ModelDrawing
{
    public MapPlate $plate;

    public function __construct(public EquipmentModel $model)
    {
        // A program is by itself here, without a computer: as a box with sockets it is drawn the same way.
        $rig = new Rig(new RigParts(
            $model->name,
            places: [new Place(
                'here',
                PlaceKind::Desk,
                'Here',
            )],
            models: [$model->id => $this->asBox($model)],
            units: [new Unit('it', $model->id, 'here', $model->name)],
            situations: [new Situation('new', 'New')],
        ));
        $graph = (new GraphBuilder($rig))->build($rig->situation() ?? throw new \LogicException('A rig has a base situation.'));
        [$left, $right] = $this->ports($model);
        $this->plate = new MapPlate(
            'it',
            $model->name,
            $model->family->value,
            $model->isProgram(),
            $left,
            $right,
            (new PlateInsides($graph, true))->of($rig->units['it'], $model, $left, $right),
            true,
        );
    }

    public function width(): int
    {
        return $this->plate->width() + 40;
    }

    public function height(): int
    {
        return $this->plate->height() + 16;
    }

    /** @return array{x: float, y: float} the position of a port */
    public function spot(MapPort $port): array
    {
        $row = (int) array_search($port, $port->isOut ? $this->plate->right : $this->plate->left, true);

        return ['x' => 20.0 + ($port->isOut ? $this->plate->width() : 0), 'y' => 8.0 + MapPlate::rowAt($row)];
    }

    /** The line inside the plate from one port to another. */
    public function insidePath(string $from, string $to): string
    {
        $ports = [];
        foreach ([...$this->plate->left, ...$this->plate->right] as $port) {
            $ports[$port->id] = [...$this->spot($port), 'port' => $port];
        }

        return PlateInsides::line($ports[$from], $ports[$to], true);
    }

    private function asBox(EquipmentModel $model): EquipmentModel
    {
        return ! $model->isProgram() ? $model : $model->with(family: Family::Mixer);
    }

    /** @return array{list<MapPort>, list<MapPort>} */
    private function ports(EquipmentModel $model): array
    {
        $left = $right = [];
        foreach ($model->sockets as $socket) {
            $port = new MapPort("it/{$socket->id}", $socket->label, MapGraph::isOutSocket($socket), 'socket');
            $port->isOut ? $right[] = $port : $left[] = $port;
        }
        foreach ($model->points as $point) {
            if ($point->picks !== null || $point->device !== null) {
                $isOut = ($point->picks ?? $point->device->direction) === ($point->picks !== null ? Direction::Playback
                    : Direction::Recording);
                $port = new MapPort("it/{$point->id}", $point->label, $isOut, 'point');
                $port->isOut ? $right[] = $port : $left[] = $port;
            } elseif ($model->isProgram() && $point->kind === PointKind::Ear) {
                $right[] = new MapPort("it/{$point->id}", $point->label, true, 'point');
            }
        }

        return [$left, $right];
    }
}
