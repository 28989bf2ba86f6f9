<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Equipment\RouteSetting;

/** What of a unit a control can move, each as a move from its lowest to its highest, or from off to on. */
final class Movable
{
    /** Where a level goes whose model says nothing of its ends, dB. */
    private const LEVEL = [-60.0, 10.0];

    /**
     * @param  bool  $isTurned  whether the control has a way to go; else it is pressed
     * @return array<string, Move> by {@see Move::slot()}
     */
    public static function of(Rig $rig, string $unit, bool $isTurned): array
    {
        $model = $rig->modelOf($unit);
        $moves = [...self::points($unit, $model), ...self::routes($unit, $model), ...$isTurned ? [] : self::picks($rig, $unit, $model)];
        foreach ($model->settings as $setting) {
            $values = $setting->values();
            if ($setting->effects !== [] && count($values) > 1) {
                $moves[] = new Move(new SettingRef($unit, $setting->id), Move::VALUE, $values[0], $values[count($values) - 1]);
            }
        }
        $by = [];
        foreach ($moves as $move) {
            $isNumber = is_float($move->to);
            $move = $isTurned ? $move : $move->with(by: Gesture::Press, law: match (true) {
                is_bool($move->to) => Law::Toggle, default => Law::Set,
            });
            $by[$move->slot()] = $isTurned && ! $isNumber ? $move->with(law: Law::Set) : $move;
        }

        return $by;
    }

    /** @return list<Move> */
    private static function points(string $unit, EquipmentModel $model): array
    {
        $moves = [];
        foreach ($model->points as $point) {
            foreach (Dials::of($model, $point) as $kind) {
                $scale = $kind->scale($point);
                $moves[] = $scale === null ? new Move(new PointRef($unit, $point->id), $kind->key(), false, true)
                    : new Move(
                        new PointRef($unit, $point->id),
                        $kind->key(),
                        (float) $scale->from,
                        (float) $scale->to,
                        $kind->key() === 'fader' ? Law::Taper : Law::Even,
                    );
            }
        }

        return $moves;
    }

    /** @return list<Move> programs' ins and outs of which a key chooses the device: at first the one that they use, to be named anew */
    private static function picks(Rig $rig, string $unit, EquipmentModel $model): array
    {
        $moves = [];
        foreach ($model->points as $point) {
            $device = $point->picks === null ? null : ($rig->picks["{$unit}/{$point->id}"] ?? null)?->device;
            if ($device !== null) {
                $moves[] = new Move(new PointRef($unit, $point->id), Move::DEVICE, null, (string) $device, Law::Set);
            }
        }

        return $moves;
    }

    /** @return list<Move> */
    private static function routes(string $unit, EquipmentModel $model): array
    {
        $moves = [];
        foreach ($model->routes as $key => $route) {
            $at = new RouteRef($unit, (string) $key);
            if ($route->allows(RouteSetting::Db)) {
                $moves[] = new Move(
                    $at,
                    RouteSetting::Db->value,
                    $route->level?->from->value() ?? self::LEVEL[0],
                    $route->level?->to->value() ?? self::LEVEL[1],
                    Law::Taper,
                );
            }
            if ($route->allows(RouteSetting::On)) {
                $moves[] = new Move($at, RouteSetting::On->value, false, true);
            }
        }

        return $moves;
    }
}
