<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\Capsule;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EffectRack;
use HiddenWire\Core\Equipment\Holds;
use HiddenWire\Core\Equipment\Lamp;
use HiddenWire\Core\Equipment\Meter;
use HiddenWire\Core\Equipment\OwnScale;
use HiddenWire\Core\Equipment\Pattern;
use HiddenWire\Core\Equipment\PickedIn;
use HiddenWire\Core\Equipment\PickFrom;
use HiddenWire\Core\Equipment\Point;
use HiddenWire\Core\Equipment\PointKind;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
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
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Time;
use HiddenWire\Core\Rig\Format\Types\Value;
use HiddenWire\Core\Rig\Format\Types\Whole;

/** The points of a model, and its meters and lamps. */
final class Points
{
    private const DEVICES = 32;

    private const OF_CHAIN = 20;

    private const MARKS = 60;

    private const ZONES = 12;

    public static function point(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Point::class, 'point', [
            Field::of('id', new Id)->needed(),
            Field::of('kind', Choice::of(PointKind::class))->needed(),
            Field::of('label', self::label())->usual(fn (array $point) => $point['id']),
            Field::of('channels', new Whole(1, Bounds::CHANNELS))->needed(),
            Field::of('gain', new ObjectOf(self::span())),
            Field::of('fader', new ObjectOf(self::span())),
            Field::of('mute', new Flag),
            Field::of('mono', new Flag),
            Field::of('inverted', new Flag)->since(3),
            Field::of('delay_to_ms', new Time, 'delayTo'),
            Field::of('picks', Choice::of(Direction::class)),
            Field::of('device', new ObjectOf(Models::offer())),
            Field::of('pick_from', Lists::some(PickFrom::class))->since(2),
            Field::of('picked_in', Choice::of(PickedIn::class))->usual(PickedIn::Program)->since(3),
            Field::of('several', new Whole(1, self::DEVICES))->usual(1)->since(2),
            Field::of('device_of', new Id)->since(2),
            Field::of('made_at', new ObjectOf(Models::madeAt()), 'made')->since(2),
            Field::of('holds', Choice::of(Holds::class))->since(2),
            Field::of('solo', new Id)->since(2),
            Field::of('solo_tap', Choice::of(Tap::class))->usual(Tap::PreFader)->since(2),
            Field::of('can_follow', Models::points())->since(2),
            Field::of('effects', new ObjectOf(self::rack()))->since(2),
            Field::of('in_scenes', new Flag)->usual(false)->since(2),
            Field::of('capsule', new ObjectOf(self::capsule()))->since(2),
        ]));
    }

    public static function meter(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Meter::class, 'meter', [
            Field::of('id', new Id)->needed(),
            Field::of('label', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('point', new Id)->needed(),
            Field::of('tap', Choice::of(Tap::class))->usual(Tap::PostFader),
            Field::of('scale', new ObjectOf(self::ownScale())),
            Field::of('zones', ListOf::of(new ObjectOf(
                self::zone(),
                fn (array $zone) => (object) ['name' => $zone[0], 'fromDb' => $zone[1]],
            ), self::ZONES)),
        ])->rule(function (array $meter, Reading $in): void {
            foreach ($meter['zones'] as $i => [, $from]) {
                if ($i > 0 && $from <= $meter['zones'][$i - 1][1]) {
                    $in->problem('Zones rise from the lowest to the highest.', 'zones', $i);
                }
            }
            if ($meter['scale'] !== null && $meter['zones'] !== []) {
                $in->problem('A meter has a scale or zones, not both.', 'zones');
            }
        }));
    }

    public static function lamp(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Lamp::class, 'lamp', [
            Field::of('id', new Id)->needed(),
            Field::of('label', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('point', new Id),
            Field::of('while_muted', new Flag)->usual(true),
            Field::of('setting', new Id),
            Field::of('value', new Value),
        ])->rule(fn (array $lamp, Reading $in) => ($lamp['point'] === null) === ($lamp['setting'] === null)
            || ($lamp['setting'] === null) !== ($lamp['value'] === null)
            ? $in->problem('A lamp shows a "point", or a "setting" at a "value".') : null)
            ->saying(['oneOf' => [['required' => ['point']], ['required' => ['setting', 'value']]]]));
    }

    public static function ownScale(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(OwnScale::class, 'own_scale', [
            Field::of('unit', Text::upTo(Bounds::JACK_COLOUR)),
            Field::of('marks', ListOf::of(self::mark(), self::MARKS)->atLeast(2))->ruled(),
        ])->made(function (array $scale, Reading $in): ?OwnScale {
            $read = $scale['marks'] === [] ? null : new OwnScale(...$scale);

            return $read?->isReadable() === true ? $read
                : $in->problem('A scale has two marks or more, and both their numbers rise.', 'marks');
        }));
    }

    public static function rack(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(EffectRack::class, '', [
            Field::of('most', new Whole(1, self::OF_CHAIN))->needed(),
            Field::of('kinds', Lists::some(EffectKind::class)),
            Field::of('per_mix', new Flag)->usual(false),
        ]));
    }

    public static function capsule(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Capsule::class, '', [
            Field::of('mv_per_pa', new Number(0.001, 1000))->needed(),
            Field::of('noise_db_spl', new Number(-20, 80), 'noiseDb'),
            Field::of('max_db_spl', new Number(80, 200), 'maxDb'),
            Field::of('pattern', Choice::of(Pattern::class))->since(3),
        ]));
    }

    private static function span(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Span::class, 'span', [
            Field::of('from', new DecibelLevel)->needed(),
            Field::of('to', new DecibelLevel)->needed(),
            Field::of('db', new DecibelLevel)->usual(Decibels::zero())->written(),
            Field::of('scale', new ObjectOf(self::ownScale()))->since(2),
        ])->made(function (array $span, Reading $in): ?Span {
            try {
                return new Span(...$span);
            } catch (\RangeException $e) {
                return $in->problem($e->getMessage());
            }
        }));
    }

    private static function zone(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::making([
            Field::of('name', Text::filled(Bounds::JACK_COLOUR))->needed(),
            Field::of('from_db', new Number(-200, 200))->needed(),
        ], fn (array $zone) => [$zone['name'], $zone['fromDb']]));
    }

    /** What is printed there, and the dB that it comes to. */
    private static function mark(): Custom
    {
        return new Custom(
            fn (mixed $pair, Reading $in): ?array => is_array($pair) && count($pair) === 2 && Value::isNumber($pair[0])
                && Value::isNumber($pair[1]) ? [(float) $pair[0], (float) $pair[1]]
                : $in->problem('A mark is [what is printed, the dB that it comes to].'),
            fn (array $mark): array => [Number::plain($mark[0]), Number::plain($mark[1])],
            fn (Definitions $definitions): array => [
                'type' => 'array', 'minItems' => 2, 'maxItems' => 2,
                'items' => ['type' => 'number', 'minimum' => -Bounds::SETTING, 'maximum' => Bounds::SETTING],
            ],
        );
    }

    /** The id where it is empty. */
    private static function label(): Custom
    {
        $text = Text::upTo(Bounds::SHORT_NAME);

        return new Custom(
            fn (mixed $value, Reading $in): ?string => ($text->read($value, $in) ?? '') ?: ($in->thing()['id'] ?? null),
            fn (string $label): string => $label,
            $text->schema(...),
        );
    }
}
