<?php

declare(strict_types=1);

namespace HiddenWire\Core\Situations;

use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\Unit;

/** Everything that a hand sets inside a unit, whether or not anything says it: named settings, knobs and switches, routes and selectors. */
final class Adjustables
{
    /** @return list<NamedSetting|DialSetting|RouteAspect|Selector> in the order of the signal */
    public static function of(Rig $rig, Unit $unit): array
    {
        $model = $rig->modelOf($unit);
        $all = [];
        foreach (array_keys($model->settings) as $id) {
            $all[] = new NamedSetting($rig, $unit->id, (string) $id);
        }
        foreach ($model->points as $point) {
            foreach (Dials::of($model, $point) as $kind) {
                $all[] = new DialSetting($rig, new PointRef($unit->id, $point->id), $kind);
            }
        }
        $groups = [];
        foreach ($model->routes as $key => $route) {
            if ($route->group !== null) {
                $groups[$route->group] ??= new Selector($rig, $unit->id, $route->group);
            }
            foreach ($route->can as $setting) {
                if ($route->group === null || $setting !== RouteSetting::On) {
                    $all[] = new RouteAspect($rig, new RouteRef($unit->id, (string) $key), $setting);
                }
            }
        }

        return self::sorted([...$all, ...array_values($groups)]);
    }

    /**
     * @template T of Adjustable
     *
     * @param  list<T>  $things  of one unit
     * @return list<T> in the order of the signal
     */
    public static function sorted(array $things): array
    {
        usort($things, fn (Adjustable $a, Adjustable $b) => self::compare($a->order(), $b->order()));

        return $things;
    }

    /**
     * @param  list<int>  $one  as {@see Adjustable::order()} has it
     * @param  list<int>  $other
     */
    public static function compare(array $one, array $other): int
    {
        foreach ($one as $i => $place) {
            if ($place !== ($other[$i] ?? -1)) {
                return $place <=> ($other[$i] ?? -1);
            }
        }

        return count($one) <=> count($other);
    }
}
