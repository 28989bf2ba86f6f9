<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\ModelControl;
use HiddenWire\Core\Equipment\ModelMove;
use HiddenWire\Core\Quantity\Bounds;

/** All that hands find in a rig: its own controls, and those that its units come with. */
final class Hands
{
    /**
     * What a unit comes with is called "unit-control"; a control of the rig that is called so is there instead.
     *
     * @return array<string, Control> by id; the rig's own first
     */
    public static function of(Rig $rig): array
    {
        /** @var \WeakMap<Rig, array<string, Control>> $known */
        static $known = new \WeakMap;

        return $known[$rig] ??= $rig->controls + self::asTheyCome($rig);
    }

    /** @return array<string, Control> the controls that somebody has entered; where nobody has, those that units come with; by id */
    public static function entered(Rig $rig): array
    {
        return $rig->controls === [] ? self::of($rig) : $rig->controls;
    }

    /** @return array<string, Control> what units come with, whether or not the rig says otherwise of it; by id */
    public static function asTheyCome(Rig $rig): array
    {
        $all = [];
        foreach ($rig->units as $unit) {
            $all += self::ofUnit($unit, $rig->modelOf($unit));
        }

        return $all;
    }

    /** @return array<string, Control> by id */
    public static function ofUnit(Unit $unit, EquipmentModel $model): array
    {
        $all = [];
        foreach ($model->controls as $control) {
            $all[self::id($unit->id, $control->id)] = self::control($unit, $control);
        }

        return $all;
    }

    public static function id(string $unit, string $control): string
    {
        return "{$unit}-{$control}";
    }

    /** Whether a control is the rig's own: one that somebody has entered. */
    public static function isOwn(Rig $rig, Control $control): bool
    {
        return isset($rig->controls[$control->id]);
    }

    /** Parts without the moves for which a control would have to be held that is not there (any more). */
    public static function held(RigParts $parts): RigParts
    {
        $there = array_column(array_map(fn (Control $one) => [$one->id, true], $parts->controls), 1, 0);
        foreach ($parts->units as $unit) {
            $there += self::ofUnit($unit, $parts->models[$unit->model]);
        }
        $isLost = fn (Move $move): bool => $move->with !== null && ! isset($there[$move->with]);

        return $parts->with(controls: array_map(
            fn (Control $one) => array_filter($one->moves, $isLost) === [] ? $one
                : $one->with(moves: array_values(array_filter($one->moves, fn (Move $move) => ! $isLost($move)))),
            $parts->controls,
        ));
    }

    /** Many units have a "Mute": it is called after its unit, too. */
    private static function control(Unit $unit, ModelControl $of): Control
    {
        return new Control(
            self::id($unit->id, $of->id),
            mb_strimwidth(self::before($unit).$of->name, 0, Bounds::SHORT_NAME, '…'),
            $of->kind,
            ElementRef::unit($unit->id),
            $of->legend,
            bank: $of->bank,
            moves: array_map(fn (ModelMove $move): Move => self::move($unit->id, $move), $of->moves),
            isAssigned: $of->isAssigned,
        );
    }

    /** The prefix of a unit's controls, before their own name. */
    public static function before(Unit $unit): string
    {
        return "{$unit->name}: ";
    }

    /** What a move of a model is in one of its units. */
    public static function move(string $unit, ModelMove $of): Move
    {
        return new Move(
            match (true) {
                str_starts_with($of->at, ModelMove::SETTINGS) => new SettingRef($unit, substr($of->at, strlen(ModelMove::SETTINGS))),
                str_contains($of->at, '>') => new RouteRef($unit, $of->at),
                default => new PointRef($unit, $of->at),
            },
            $of->set,
            $of->from,
            $of->to,
            $of->law,
            $of->by,
            $of->with === null ? null : self::id($unit, $of->with),
        );
    }
}
