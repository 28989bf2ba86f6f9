<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Days;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Constant;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\MapOf;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Papers;
use HiddenWire\Core\Rig\Place;
use HiddenWire\Core\Rig\PlaceKind;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RigParts;

/** The document as a whole. */
final class Rigs
{
    public const FORMAT = 'hidden-wire/rig';

    /** What is written; earlier ones are read, too. */
    public const VERSION = 3;

    /** Read as parts, which need not fit together; written from a rig. */
    public static function rig(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::making([
            Field::of('format', new Constant(self::FORMAT))->needed()->from(fn (Rig|RigParts $rig) => self::FORMAT),
            Field::of('version', new Constant(self::VERSION))->needed()->from(fn (Rig|RigParts $rig) => self::VERSION),
            Field::of('name', Text::filled(Bounds::NAME))->needed(),
            Field::of('summary', Text::upTo(Bounds::SUMMARY)),
            Field::of('places', ListOf::of(new ObjectOf(self::place())))->written(),
            Field::of('models', new MapOf(new ObjectOf(Models::model()), new Id))->written(),
            Field::of('units', ListOf::of(new ObjectOf(Units::unit())))->written(),
            Field::of('cables', ListOf::of(new ObjectOf(Wires::cable())))->written(),
            Field::of('devices', ListOf::of(new ObjectOf(Computers::device())))->written(),
            Field::of('picks', ListOf::of(new ObjectOf(Computers::pick())))->written(),
            Field::of('air', ListOf::of(new ObjectOf(Wires::air())))->written(),
            Field::of('sources', ListOf::of(new ObjectOf(Sounds::source())))->written(),
            Field::of('listeners', ListOf::of(new ObjectOf(Sounds::listener())))->written(),
            Field::of('wishes', ListOf::of(new ObjectOf(Sounds::wish())))->written(),
            Field::of('situations', ListOf::of(new ObjectOf(Situations::situation()))->atLeast(1))->ruled(),
            self::paper('reasons', Writings::reason(), fn (Rig|RigParts $rig) => $rig->papers->reasons),
            self::paper('steps', Writings::step(), fn (Rig|RigParts $rig) => $rig->papers->steps),
            self::paper('accepted', Writings::acceptance(), fn (Rig|RigParts $rig) => $rig->papers->accepted),
            self::paper('facts', Writings::fact(), fn (Rig|RigParts $rig) => $rig->papers->facts),
            self::paper('measures', Writings::measure(), fn (Rig|RigParts $rig) => $rig->papers->measures),
            Field::of('balances', ListOf::of(new ObjectOf(Sounds::balance()), Bounds::BALANCES))->since(2),
            Field::of('controls', ListOf::of(new ObjectOf(Controls::control()), Bounds::CONTROLS))->since(3),
            Field::of('days', new ObjectOf(self::days()))->since(3)->saying('When the rig is used, set-up and strike among it.'),
        ], self::parts(...)));
    }

    /**
     * @param  array<string, mixed>  $says  by property, as far as it could be read
     */
    public static function parts(array $says): RigParts
    {
        $papers = ['reasons', 'steps', 'accepted', 'facts', 'measures'];

        return new RigParts(...[
            ...array_diff_key($says, array_flip(['format', 'version', ...$papers])),
            'name' => $says['name'] ?? '', 'summary' => $says['summary'] ?? '',
            'papers' => new Papers(...array_intersect_key($says, array_flip($papers))),
        ]);
    }

    public static function place(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Place::class, 'place', [
            Field::of('id', new Id)->needed(),
            Field::of('kind', Choice::of(PlaceKind::class))->needed()->called('a place of kind'),
            Field::of('name', Text::filled(Bounds::NAME))->needed(),
        ]));
    }

    public static function days(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Days::class, 'days', [
            Field::of('from', self::day())->needed(),
            Field::of('to', self::day())->needed(),
        ])->rule(function (array $days, Reading $in): void {
            foreach ($days as $key => $day) {
                if (! Days::isDay($day)) {
                    $in->problem('The calendar has no such day.', $key);

                    return;
                }
            }
            if ($days['to'] < $days['from']) {
                $in->problem('The last day is before the first.', 'to');
            }
        }));
    }

    private static function day(): Text
    {
        return Text::filled(Bounds::DAY)->like('^\d{4}-\d{2}-\d{2}$', 'A day is written as 2026-12-05.');
    }

    /** @param  \Closure(Rig|RigParts): array<int, object>  $from */
    private static function paper(string $key, Shape $shape, \Closure $from): Field
    {
        return Field::of($key, ListOf::of(new ObjectOf($shape), Bounds::PAPERS))->since(2)->from($from);
    }
}
