<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Decibels;
use HiddenWire\Core\Rig\Apart;
use HiddenWire\Core\Rig\Balance;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\DecibelLevel;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\Number;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Path;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Time;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\ListenerKind;
use HiddenWire\Core\Rig\Origin;
use HiddenWire\Core\Rig\Side;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\SourceKind;
use HiddenWire\Core\Rig\Touched;
use HiddenWire\Core\Rig\Treatment;
use HiddenWire\Core\Rig\Want;
use HiddenWire\Core\Rig\Wish;

/** Sounds, listeners, and what is wished of them. */
final class Sounds
{
    private const MOST_EARS = 100;

    public static function source(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Source::class, 'source', [
            Field::of('id', new Id)->needed(),
            Field::of('name', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('kind', Choice::of(SourceKind::class))->needed()->called('a sound of kind'),
            Field::of('origins', ListOf::of(new ObjectOf(self::origin())))->written(),
            Field::of('loudness_db', new DecibelLevel, 'loudness')->since(2),
            Field::of('measured', new Flag, 'isMeasured')->usual(false)->since(2),
            Field::of('touched', Choice::of(Touched::class))->since(3)->called('is touched'),
        ])->rule(fn (array $source, Reading $in) => $source['isMeasured'] && $source['loudness'] === null
            ? $in->problem('What was measured is the "loudness_db".', 'measured') : null)
            ->saying(['if' => ['properties' => ['measured' => ['const' => true]], 'required' => ['measured']],
                'then' => ['required' => ['loudness_db']]]));
    }

    public static function listener(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Listener::class, 'listener', [
            Field::of('id', new Id)->needed(),
            Field::of('name', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('kind', Choice::of(ListenerKind::class))->needed()->called('hears by'),
            Field::of('at', ListOf::of(Path::toPoint(), self::MOST_EARS))->written(),
        ]));
    }

    public static function wish(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Wish::class, 'wish', [
            Field::of('source', new Id('sources'))->needed(),
            Field::of('listener', new Id('listeners'))->needed(),
            Field::of('want', Choice::of(Want::class))->needed(),
            Field::of('own_level', Choice::of(Apart::class)->orFlag(Apart::Listeners, 3)),
            Field::of('alone', new Flag)->usual(false),
            Field::of('situations', Lists::ids('situations'))->goesWithLast(),
            Field::of('treatment', Choice::of(Treatment::class))->since(2),
            Field::of('side', Choice::of(Side::class))->since(2),
            Field::of('stereo', new Flag)->usual(false)->since(3),
            Field::of('up_to_db', new DecibelLevel(...Bounds::UP_TO_DB))->since(3),
        ])->knownBy('source', 'listener', 'situations')->rule(
            fn (array $wish, Reading $in) => $wish['upToDb'] !== null && $wish['want'] !== Want::MustNot
                ? $in->problem('How loud it may be is said only of a sound that must not be heard.', 'up_to_db') : null,
        ));
    }

    public static function balance(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Balance::class, 'balance', [
            Field::of('listener', new Id('listeners'))->needed(),
            Field::of('like', new Id('listeners'))->needed(),
            Field::of('within_db', new Number(...Bounds::WITHIN_DB))->needed(),
        ])->knownBy('listener', 'like'));
    }

    public static function origin(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Origin::class, '', [
            Field::of('at', Path::toPoint())->needed(),
            Field::of('db', new DecibelLevel)->usual(Decibels::zero()),
            Field::of('delay_ms', new Time, 'delay'),
            Field::of('distance_m', new Number(...Bounds::DISTANCE_M))->since(3),
        ]));
    }
}
