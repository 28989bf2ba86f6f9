<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\Effect;
use HiddenWire\Core\Rig\EffectValues;
use HiddenWire\Core\Rig\Following;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Group;
use HiddenWire\Core\Rig\Format\Note;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Custom;
use HiddenWire\Core\Rig\Format\Types\DecibelLevel;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\MapOf;
use HiddenWire\Core\Rig\Format\Types\Number;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Time;
use HiddenWire\Core\Rig\Format\Types\Value;
use HiddenWire\Core\Rig\Format\Types\Whole;
use HiddenWire\Core\Rig\OperatingSystem;
use HiddenWire\Core\Rig\Ownership;
use HiddenWire\Core\Rig\Picture;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Scene;
use HiddenWire\Core\Rig\SystemKind;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\WebLink;

/** Units and what belongs to one: its operating system, links, effects, scenes, pictures. */
final class Units
{
    private const MOST_LINKED = 100;

    /** Keys of what is set at an effect, by property. */
    private const KEYS = [
        'highPassHz' => 'high_pass_hz', 'bands' => 'bands', 'threshold' => 'threshold_db', 'ratio' => 'ratio', 'makeUp' => 'make_up_db',
        'hold' => 'hold_ms', 'lowers' => 'lowers_db', 'by' => 'by',
    ];

    public static function unit(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Unit::class, 'unit', [
            Field::of('id', new Id)->needed(),
            Field::of('model', new Id('models'))->needed(),
            Field::of('place', new Id('places'))->needed(),
            Field::of('name', Text::filled(Bounds::NAME))->needed()->told(fn (string $name) => "renamed to {$name}"),
            Field::of('firmware', Text::upTo(Bounds::NOTE)),
            Field::of('serial', Text::upTo(Bounds::NOTE))->called('serial number'),
            Field::of('notes', Text::upTo(Bounds::NOTES))->told(fn () => 'notes'),
            Field::of('needs', Lists::ids('units'))->told(fn (array $needs, Rig $rig) => 'needs '
                .(implode(', ', array_map(fn (string $id) => $rig->units[$id]->name ?? $id, $needs)) ?: 'nothing')),
            Field::of('start', new Whole(...Bounds::START)),
            Field::of('at_login', new Flag)->usual(false)->told(fn (bool $is) => $is ? 'starts at login' : 'is started by hand'),
            new Group('settings', [
                Field::of('points', new MapOf(new ObjectOf(Settings::ofPoint()))),
                Field::of('routes', new MapOf(new ObjectOf(Settings::ofRoute()))),
                Field::of('values', new MapOf(new Value))->since(2),
            ]),
            Field::of('price', Text::upTo(Bounds::PRICE))->since(2),
            Field::of('supplier', Text::upTo(Bounds::SUPPLIER))->since(2),
            Field::of('links', ListOf::of(new ObjectOf(self::link()), Bounds::LINKS))->since(2)
                ->told(fn (array $links) => Count::of(count($links), 'link')),
            Field::of('ready_s', new Whole(...Bounds::WAIT_S))->since(2)
                ->told(fn (?int $seconds) => $seconds === null ? 'no time to start' : "takes {$seconds} s to start"),
            Field::of('system', new ObjectOf(self::system()))->since(2)
                ->told(fn (?OperatingSystem $system) => 'runs '.($system?->told() ?? 'a system that nobody has named')),
            Field::of('licence', Text::upTo(Bounds::NAME))->since(2)
                ->noted(new Note('Licence', fn (EquipmentModel $model) => $model->isProgram())),
            Field::of('edition', Text::upTo(Bounds::NOTE))->since(2)
                ->noted(new Note('Edition', fn (EquipmentModel $model) => $model->isProgram())),
            Field::of('names', new MapOf(Text::filled(Bounds::POINT_NAME)
                ->saying('A name is a text of '.Bounds::POINT_NAME.' characters at most, and not empty.')))
                ->since(2)->saying('Names of its points of somebody\'s own.'),
            Field::of('follows', new MapOf(new ObjectOf(self::following())))->since(2)->saying('Outputs that get what another gets.'),
            Field::of('linked', ListOf::of(self::linkedRoutes(), self::MOST_LINKED))
                ->since(2)->saying('Routes whose levels move together, keeping their offsets.'),
            Field::of('effects', ListOf::of(new ObjectOf(self::effect()), Bounds::EFFECTS))->since(2),
            Field::of('scenes', ListOf::of(new ObjectOf(self::scene()), Bounds::SCENES))->since(2),
            Field::of('pictures', ListOf::of(new ObjectOf(self::picture()), Bounds::SCENES))->since(2),
            Field::of('always', Lists::ids())->since(2),
            Field::of('power_w', new Whole(...Bounds::POWER_W))->since(3)->called('watts from the wall:')
                ->noted(new Note('Watts from the wall', fn (EquipmentModel $model) => ! $model->isProgram())),
            Field::of('ownership', Choice::of(Ownership::class))->usual(Ownership::Own)->since(3)
                ->told(fn (Ownership $is) => str_replace('-', ' ', $is->value))->noted(new Note('Whose it is')),
            Field::of('spare_for', new Id('units'))->since(3)->noted(new Note('Stands in for'))
                ->told(fn (?string $id, Rig $rig) => $id === null ? 'stands in for none' : "stands in for {$rig->units[$id]->name}"),
            Field::of('inventory', Text::upTo(Bounds::NOTE))->since(3)->called('inventory number')
                ->saying('The number on the thing itself, by which it is known in every rig.')
                ->noted(new Note('Inventory number', fn (EquipmentModel $model) => ! $model->isProgram())),
        ]));
    }

    public static function effect(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Effect::class, 'effect', [
            Field::of('id', new Id)->needed(),
            Field::of('at', new Id)->needed(),
            Field::of('kind', Choice::of(EffectKind::class))->needed(),
            Field::of('name', Text::upTo(Bounds::POINT_NAME)),
            Field::of('on', new Flag)->usual(true),
            Field::of('delay_ms', new Time(
                Bounds::EFFECT_MS[1],
                'An effect holds its sound back by '.Bounds::EFFECT_MS[1].' ms at most.',
            ), 'delay'),
            Field::of('db', new DecibelLevel(
                Bounds::EFFECT_DB[0],
                Bounds::EFFECT_DB[1],
                'An effect changes the level by '.Bounds::EFFECT_DB[0].' to '.Bounds::EFFECT_DB[1].' dB.',
            )),
            Field::of('off_for', Lists::ids()),
            Field::of('values', new ObjectOf(self::effectValues()))->since(3),
        ])->rule(function (array $effect, Reading $in): void {
            $values = $effect['kind'] === null || $effect['values'] === null ? [] : get_object_vars($effect['values']);
            foreach ($values as $property => $value) {
                if ($value !== null && $value !== [] && ! in_array($property, $effect['kind']->sets(), true)) {
                    $in->problem(ucfirst(self::tool($effect['kind'])).' has nothing of this kind to set.', 'values', self::KEYS[$property]);
                }
            }
        }));
    }

    public static function effectValues(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(EffectValues::class, 'effect_values', [
            Field::of(self::KEYS['highPassHz'], new Number(...Bounds::CUTOFF_HZ), 'highPassHz'),
            Field::of(self::KEYS['bands'], ListOf::of(new ObjectOf(
                Shape::making([
                    Field::of('hz', new Number(...Bounds::BAND_HZ))->needed(),
                    Field::of('db', new Number(...Bounds::BAND_DB))->needed(),
                ], fn (array $band) => $band),
                fn (array $band) => (object) $band,
            ), Bounds::BANDS)),
            Field::of(self::KEYS['threshold'], self::within(Bounds::THRESHOLD_DB, 'A threshold goes from %s to %s dBFS.'), 'threshold'),
            Field::of(self::KEYS['ratio'], new Number(...Bounds::RATIO)),
            Field::of(self::KEYS['makeUp'], self::within(Bounds::MAKE_UP_DB, 'A make-up gain goes from %s to %s dB.'), 'makeUp'),
            Field::of(self::KEYS['hold'], new Time(Bounds::EFFECT_MS[1], 'It holds for '.Bounds::EFFECT_MS[1].' ms at most.'), 'hold'),
            Field::of(self::KEYS['lowers'], self::within(Bounds::LOWERS_DB, 'A ducker lowers by %s to %s dB.'), 'lowers'),
            Field::of(self::KEYS['by'], Lists::ids()),
        ]));
    }

    /** @param  array{int, int}  $bounds */
    private static function within(array $bounds, string $says): DecibelLevel
    {
        return new DecibelLevel($bounds[0], $bounds[1], sprintf($says, ...$bounds));
    }

    private static function tool(EffectKind $kind): string
    {
        return (preg_match('/^[aeiou]/', $kind->value) === 1 ? 'an ' : 'a ').mb_strtolower($kind->words());
    }

    public static function scene(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Scene::class, 'scene', [
            Field::of('id', new Id)->needed(),
            Field::of('name', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('sources', Lists::ids()),
            Field::of('pictures', Lists::ids()),
        ]));
    }

    public static function picture(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Picture::class, 'picture', [
            Field::of('id', new Id)->needed(),
            Field::of('name', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('delay_ms', new Time, 'delay'),
            Field::of('sound', new Id),
            Field::of('tied', new Flag, 'isTied')->usual(false),
        ])->rule(fn (array $picture, Reading $in) => $picture['isTied'] && $picture['sound'] === null
            ? $in->problem('What goes with the picture is its "sound".', 'tied') : null)
            ->saying([
                'if' => ['properties' => ['tied' => ['const' => true]], 'required' => ['tied']],
                'then' => ['required' => ['sound']],
            ]));
    }

    public static function following(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Following::class, '', [
            Field::of('of', new Id)->needed(),
            Field::of('with_fader', new Flag)->usual(false),
            Field::of('except', Lists::ids()),
        ]));
    }

    public static function link(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(WebLink::class, 'link', [
            Field::of('label', Text::filled(Bounds::NAME))->needed(),
            Field::of('url', Text::filled(Bounds::URL)
                ->like(WebLink::PATTERN, 'An address begins with http:// or https:// and has no spaces.'))->needed(),
        ]));
    }

    public static function system(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(OperatingSystem::class, 'operating_system', [
            Field::of('name', Text::filled(Bounds::NOTE))->needed(),
            Field::of('version', self::version()),
            Field::of('kind', Choice::of(SystemKind::class))->since(3),
        ]));
    }

    /** A version of a system. */
    public static function version(): Text
    {
        return Text::upTo(Bounds::NOTE)->like(SystemNeed::VERSION, 'A version is numbers with dots between them: 10.4.');
    }

    /** Keys of routes whose levels are linked. */
    private static function linkedRoutes(): Custom
    {
        return new Custom(
            fn (mixed $keys, Reading $in): ?array => is_array($keys) && count($keys) >= 2 && count($keys) <= self::MOST_LINKED
                && array_filter($keys, is_string(...)) === $keys && count(array_unique($keys)) === count($keys)
                ? array_values($keys) : $in->problem('This is a list of two routes or more, each once.'),
            fn (array $keys): array => $keys,
            fn (Definitions $definitions): array => [
                'type' => 'array', 'minItems' => 2, 'maxItems' => self::MOST_LINKED, 'uniqueItems' => true, 'items' => ['type' => 'string'],
            ],
        );
    }
}
