<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\ControlKind;
use HiddenWire\Core\Equipment\Gesture;
use HiddenWire\Core\Equipment\Law;
use HiddenWire\Core\Equipment\ModelControl;
use HiddenWire\Core\Equipment\ModelMove;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Control;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Type;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\ElementPath;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\Number;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Part;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Value;
use HiddenWire\Core\Rig\Move;

/** What hands move. */
final class Controls
{
    /** Two ids of points with what is between them. */
    private const LONGEST = 130;

    public static function control(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Control::class, 'control', [
            Field::of('id', new Id)->needed(),
            Field::of('name', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('legend', Text::upTo(Bounds::SHORT_NAME)),
            Field::of('kind', Choice::of(ControlKind::class))->needed(),
            Field::of('at', new ElementPath)->needed(),
            Field::of('position', new Number(0, 100)),
            Field::of('learned', new Flag, 'isLearned')->usual(false),
            Field::of('bank', Text::upTo(Bounds::SHORT_NAME)),
            Field::of('assigned', new Flag, 'isAssigned')->usual(false),
            Field::of('moves', ListOf::of(new ObjectOf(self::move()), Bounds::MOVES))->written(),
        ])->rule(fn (array $control, Reading $in) => $control['position'] !== null && $control['kind']?->isTurned() === false
            ? $in->problem('Only a fader, a knob or a dial stands anywhere.', 'position') : null));
    }

    /** A control that every unit of a model has. */
    public static function ofModel(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(ModelControl::class, 'model_control', [
            Field::of('id', new Id)->needed(),
            Field::of('name', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('legend', Text::upTo(Bounds::SHORT_NAME)),
            Field::of('kind', Choice::of(ControlKind::class))->needed(),
            Field::of('bank', Text::upTo(Bounds::SHORT_NAME)),
            Field::of('assigned', new Flag, 'isAssigned')->usual(false),
            Field::of('moves', ListOf::of(new ObjectOf(self::moveOfModel()), Bounds::MOVES))->written(),
        ]));
    }

    private static function moveOfModel(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(ModelMove::class, 'model_move', self::moving(Text::filled(self::LONGEST))));
    }

    public static function move(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Move::class, 'move', [
            ...self::moving(new Part),
            Field::of('chosen', new Flag, 'isChosen')->usual(false),
        ]));
    }

    /** @return list<Field> what is said of a move, wherever it goes */
    private static function moving(Type $at): array
    {
        return [
            Field::of('at', $at)->needed(),
            Field::of('set', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('from', new Value),
            Field::of('to', new Value),
            Field::of('law', Choice::of(Law::class))->usual(Law::Even),
            Field::of('by', Choice::of(Gesture::class))->usual(Gesture::Move),
            Field::of('with', new Id),
        ];
    }
}
