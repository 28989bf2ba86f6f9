<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\SocketRef;
use HiddenWire\Core\Rig\State;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wiring;

/** Which outputs of a unit are mixed, from what, and how much of that is in use: a count that needs no sound. */
final readonly class UnitMixes
{
    private EquipmentModel $model;

    /** @var array<array-key, non-empty-list<Route>> by the point that is mixed, in the model's order */
    public array $all;

    public function __construct(private Unit $unit, private State $state, private Wiring $wiring)
    {
        $this->model = $state->rig->modelOf($unit);
        $this->all = self::mixed($this->model);
    }

    /** @return list<Unit> every unit with an output that is mixed */
    public static function units(Rig $rig): array
    {
        return array_values(array_filter($rig->units, fn (Unit $unit) => self::mixed($rig->modelOf($unit)) !== []));
    }

    /** @return array<array-key, non-empty-list<Route>> outputs into which more than one way leads, or one that can be set */
    private static function mixed(EquipmentModel $model): array
    {
        $into = [];
        foreach ($model->routes as $route) {
            $into[$route->to][] = $route;
        }
        $mixed = [];
        foreach (array_intersect_key($model->points, $into) as $id => $_) {
            $canBeSet = array_filter($into[$id], fn (Route $route) => $route->can !== []) !== [];
            if (count($into[$id]) > 1 || $canBeSet) {
                $mixed[$id] = $into[$id];
            }
        }

        return $mixed;
    }

    /** How many routes that are on carry what is plugged in. */
    public function inUse(): int
    {
        $count = 0;
        foreach ($this->all as $routes) {
            foreach ($routes as $route) {
                $count += $this->state->route($this->unit->id, $route)->on && ! $this->isIdle($route->from) ? 1 : 0;
            }
        }

        return $count;
    }

    /**
     * Whether nothing is plugged into what leads to a point, and nothing is picked there.
     *
     * @param  array<string, true>  $seen  points that were asked on the way
     */
    public function isIdle(string $point, array $seen = []): bool
    {
        $sockets = array_filter($this->model->sockets, fn (Socket $socket) => array_filter(
            $socket->lanes,
            fn (Lane $lane) => $lane->way === Way::In && $lane->point === $point,
        ) !== []);
        if ($sockets !== []) {
            return array_filter(
                $sockets,
                fn (Socket $one) => $this->wiring->at(new SocketRef($this->unit->id, $one->id)) !== [],
            ) === [];
        }
        if ($this->model->points[$point]->picks === Direction::Recording) {
            return $this->state->pick($this->unit->id, $point) === null;
        }
        $from = array_filter($this->model->routes, fn (Route $route) => $route->to === $point && ! isset($seen[$route->from]));
        $seen[$point] = true;

        return $from !== [] && array_filter($from, fn (Route $route) => ! $this->isIdle($route->from, $seen)) === [];
    }
}
