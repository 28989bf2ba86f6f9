<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\AirPath;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Custom;
use HiddenWire\Core\Rig\Format\Types\DecibelLevel;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\Number;
use HiddenWire\Core\Rig\Format\Types\Path;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Time;

/** Cables, and the air. */
final class Wires
{
    private const MOST_LANES = 32;

    public static function cable(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Cable::class, 'cable', [
            Field::of('id', new Id)->needed(),
            Field::of('label', Text::filled(Bounds::LABEL))->needed(),
            Field::of('type', Choice::of(CableType::class))->needed(),
            Field::of('from', Path::toSocket())->needed(),
            Field::of('to', Path::toSocket())->needed(),
            Field::of('length_m', new Number(...Bounds::LENGTH_M)),
            Field::of('colour', Text::upTo(Bounds::COLOUR)),
            Field::of('owned', new Flag)->usual(true),
            Field::of('lanes', ListOf::of(self::pair(), self::MOST_LANES))->usual(null)
                ->told(fn (?array $pairs) => $pairs === null ? 'its lanes are paired by order' : 'its lanes are paired by hand'),
            Field::of('price', Text::upTo(Bounds::PRICE))->since(2),
            Field::of('supplier', Text::upTo(Bounds::SUPPLIER))->since(2),
        ]));
    }

    public static function air(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(AirPath::class, 'air', [
            Field::of('from', Path::toPoint())->needed(),
            Field::of('to', Path::toPoint())->needed(),
            Field::of('db', new DecibelLevel)->needed(),
            Field::of('delay_ms', new Time, 'delay'),
        ])->knownBy('from', 'to'));
    }

    /** A lane at the from end and the one at the to end that it is joined with. */
    private static function pair(): Custom
    {
        return new Custom(
            fn (mixed $pair, Reading $in): ?array => is_array($pair) && count($pair) === 2 && is_string($pair[0]) && is_string($pair[1])
                ? [$pair[0], $pair[1]] : $in->problem('A pair is [lane at the from end, lane at the to end].'),
            fn (array $pair): array => $pair,
            fn (Definitions $definitions): array => [
                'type' => 'array', 'items' => ['type' => 'string'], 'minItems' => 2, 'maxItems' => 2,
            ],
        );
    }
}
