<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\DriverMode;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\Path;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Whole;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\Processing;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\SystemDefault;
use HiddenWire\Core\Rig\Unlisted;

/** What computers do with their devices, and what programs take of them. */
final class Computers
{
    public static function device(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(DeviceSettings::class, 'device', [
            Field::of('computer', new Id('units'))->needed(),
            Field::of('device', Path::toDevice())->needed(),
            Field::of('name', Text::upTo(Bounds::NAME)),
            Field::of('enabled', new Flag)->usual(true),
            Field::of('roles', Lists::some(Role::class)),
            Field::of('rate_hz', new Whole(...Bounds::RATE_HZ)),
            Field::of('bits', new Whole(...Bounds::BITS)),
            Field::of('driver_mode', Choice::of(DriverMode::class)),
            Field::of('db', Settings::systemLevel())->since(2),
            Field::of('mute', new Flag)->usual(false)->since(2),
            Field::of('plays_to', Path::toDevice())->since(2),
            Field::of('unlisted', Choice::of(Unlisted::class))->since(2),
            Field::of('processing', ListOf::of(
                // Two had other words up to version 2.
                Choice::of(Processing::class)->formerly(3, [
                    'enhancement' => Processing::ToneCorrection->value, 'spatial' => Processing::RoomSound->value,
                ]),
                count(Processing::cases()),
            )->once())->since(2),
        ])->knownBy('computer', 'device'));
    }

    public static function pick(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Pick::class, 'pick', [
            Field::of('at', Path::toPoint())->needed(), ...self::choice(),
        ])->knownBy('at')->rule(self::isOne(...))->saying(['not' => ['required' => ['device', 'default']]]));
    }

    /** The fields of a situation's change of a pick: all but what it is a pick of, which the change says. */
    public static function change(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::making(
            self::choice(),
            fn (array $pick, Reading $in) => new Pick(...['at' => $in->thing()['at'], ...$pick]),
        )->rule(self::isOne(...))->saying(['not' => ['required' => ['device', 'default']]]));
    }

    /** @return list<Field> */
    private static function choice(): array
    {
        return [
            Field::of('device', Path::toDevice()),
            Field::of('default', Choice::of(SystemDefault::class)),
            Field::of('channels', Models::channels())->usual(null),
            Field::of('tap', Choice::of(Direction::class)),
            Field::of('db', Settings::systemLevel())->since(2),
            Field::of('mute', new Flag)->usual(false)->since(2),
            Field::of('mode', Choice::of(DriverMode::class))->since(2),
            Field::of('also', ListOf::of(Path::toDevice(), Bounds::ALSO)->once('This device is named already.'))->since(2),
        ];
    }

    /** @param  array<string, mixed>  $pick */
    private static function isOne(array $pick, Reading $in): void
    {
        if ($pick['device'] !== null && $pick['default'] !== null) {
            $in->problem('A pick names a device or follows a default, not both.', 'default');
        }
    }
}
