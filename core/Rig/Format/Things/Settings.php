<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\Dials\DecibelDial;
use HiddenWire\Core\Equipment\Dials\DelayDial;
use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\DecibelLevel;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Time;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\RouteSettings;

/** How points and routes are set. */
final class Settings
{
    /** By the register of what a point can be set to. */
    public static function ofPoint(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(PointSettings::class, 'point_settings', array_map(
            fn (DialKind $kind) => Field::of($kind->key(), self::type($kind), $kind->property()),
            Dials::all(),
        )));
    }

    public static function ofRoute(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(RouteSettings::class, 'route_settings', [
            Field::of('on', new Flag),
            Field::of('db', new DecibelLevel),
            Field::of('tap', Choice::of(Tap::class)),
        ]));
    }

    /** The system's own level of a device or program. */
    public static function systemLevel(): DecibelLevel
    {
        return new DecibelLevel(
            Bounds::SYSTEM_DB[0],
            Bounds::SYSTEM_DB[1],
            'The system\'s level goes from '.Bounds::SYSTEM_DB[0].' to '.Bounds::SYSTEM_DB[1].' dB.',
        );
    }

    private static function type(DialKind $kind): Type
    {
        return match (true) {
            $kind instanceof DecibelDial => new DecibelLevel,
            $kind instanceof DelayDial => new Time,
            default => new Flag,
        };
    }
}
