<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Unit;

/** What a reason can be given for where something is selected. */
final class ReasonTargets
{
    /** @return array<string, string> names by reference: the unit, what is set on it, what it picks, its sockets */
    public static function ofUnit(Rig $rig, Unit $unit): array
    {
        $model = $rig->modelOf($unit);
        $all = ["units/{$unit->id}" => $unit->name];
        foreach ($model->points as $point) {
            if ($point->isControlled()) {
                $all["units/{$unit->id}/points/{$point->id}"] = $point->label;
            }
            if (isset($rig->picks["{$unit->id}/{$point->id}"])) {
                $all["picks/{$unit->id}/{$point->id}"] = "{$point->label}, what it uses";
            }
        }
        foreach ($model->routes as $route) {
            if ($route->can !== []) {
                $name = "{$model->points[$route->from]->label} → {$model->points[$route->to]->label}";
                $all["units/{$unit->id}/routes/{$route->key()}"] = $name;
            }
        }
        foreach ($model->sockets as $socket) {
            $all["units/{$unit->id}/sockets/{$socket->id}"] = "{$socket->label}, the socket";
        }

        return $all;
    }

    /** @return array<string, string> */
    public static function ofCable(Cable $cable): array
    {
        return ["cables/{$cable->id}" => $cable->label];
    }
}
