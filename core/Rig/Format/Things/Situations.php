<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\Dials\DialKind;
use HiddenWire\Core\Equipment\Dials\Dials;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\EffectSwitch;
use HiddenWire\Core\Rig\Format\Definitions;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Custom;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Path;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Value;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Role;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\SceneChoice;
use HiddenWire\Core\Rig\SettingValue;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\SituationDefault;
use HiddenWire\Core\Rig\SystemLevel;

/** Situations and what each has otherwise. */
final class Situations
{
    /** Keys by which a change is one of a pick. */
    private const OF_PICK = ['device', 'default', 'channels', 'mode', 'also'];

    public static function situation(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Situation::class, 'situation', [
            Field::of('id', new Id)->needed(),
            Field::of('name', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('changes', ListOf::of(new ObjectOf(self::change())))->written(),
            Field::of('absent', Lists::ids('units')),
            Field::of('pulled', Lists::ids('cables')),
            Field::of('plugged', Lists::ids('cables'))->since(2),
            Field::of('effects', ListOf::of(new ObjectOf(self::effectSwitch())))->since(2),
            Field::of('scenes', ListOf::of(new ObjectOf(self::sceneChoice())))->since(2),
            Field::of('defaults', ListOf::of(new ObjectOf(self::default()))),
            Field::of('levels', ListOf::of(new ObjectOf(self::level())))->since(2),
            Field::of('settings', ListOf::of(new ObjectOf(self::setting())))->since(2),
        ]));
    }

    public static function effectSwitch(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(EffectSwitch::class, 'effect_switch', [
            Field::of('unit', new Id('units'))->needed(),
            Field::of('effect', new Id)->needed(),
            Field::of('on', new Flag)->needed('whether it is on'),
        ]));
    }

    public static function sceneChoice(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(SceneChoice::class, 'scene_choice', [
            Field::of('unit', new Id('units'))->needed(),
            Field::of('scene', new Id)->needed(),
        ]));
    }

    public static function default(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(SituationDefault::class, 'situation_default', [
            Field::of('computer', new Id('units'))->needed(),
            Field::of('direction', Choice::of(Direction::class))->needed(),
            Field::of('role', Choice::of(Role::class))->needed(),
            Field::of('device', Path::toDevice())->needed(),
        ]));
    }

    public static function level(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(SystemLevel::class, 'situation_level', [
            Field::of('computer', new Id('units'))->needed(),
            Field::of('device', Path::toDevice())->needed(),
            Field::of('db', Settings::systemLevel()),
            Field::of('mute', new Flag),
        ])->rule(fn (array $level, Reading $in) => $level['db'] === null && $level['mute'] === null
            ? $in->problem('This says a "db", a "mute", or both.') : null)
            ->saying(['anyOf' => [['required' => ['db']], ['required' => ['mute']]]]));
    }

    public static function setting(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(SettingValue::class, 'situation_setting', [
            Field::of('unit', new Id('units'))->needed(),
            Field::of('setting', new Id)->needed(),
            Field::of('value', new Value)->needed(),
        ]));
    }

    private static function change(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Change::class, 'change', [
            Field::of('at', new Custom(
                fn (mixed $value, Reading $in): ?object => (is_string($value) && str_contains($value, '>') ? Path::toRoute()
                    : Path::toPoint())->read($value, $in),
                fn (\Stringable $at): string => (string) $at,
                fn (Definitions $definitions): array => ['type' => 'string'],
                what: 'a point or a route',
            ))->needed(),
            Field::of('set', new Custom(
                self::readSet(...),
                fn (Pick|PointSettings|RouteSettings $set): array => match (true) {
                    $set instanceof Pick => Computers::change()->write($set),
                    $set instanceof PointSettings => Settings::ofPoint()->write($set),
                    default => Settings::ofRoute()->write($set),
                },
                fn (Definitions $definitions): array => ['type' => 'object'],
                what: 'an object that says what is set',
            ))->needed(),
        ])->saying(fn (Definitions $definitions): array => [
            'if' => ['properties' => ['at' => ['type' => 'string', 'pattern' => '>']], 'required' => ['at']],
            'then' => ['properties' => [
                'at' => Path::toRoute()->schema($definitions),
                'set' => [...Settings::ofRoute()->schema($definitions), 'minProperties' => 1],
            ]],
            'else' => ['properties' => ['at' => Path::toPoint()->schema($definitions), 'set' => ['anyOf' => [
                [...Settings::ofPoint()->schema($definitions), 'minProperties' => 1],
                [...Computers::change()->schema($definitions),
                    'anyOf' => array_map(fn (string $key) => ['required' => [$key]], self::OF_PICK)],
            ]]]],
        ]));
    }

    private static function readSet(mixed $set, Reading $in): Pick|PointSettings|RouteSettings|null
    {
        $at = $in->thing()['at'] ?? null;
        $isOfPick = $set instanceof \stdClass && array_intersect_key(array_flip(self::OF_PICK), (array) $set) !== [];
        $read = match (true) {
            $at instanceof RouteRef => Settings::ofRoute()->read($set, $in),
            $at instanceof PointRef && $isOfPick => Computers::change()->read($set, $in),
            $at instanceof PointRef => Settings::ofPoint()->read($set, $in),
            default => null,
        };
        if ($read instanceof RouteSettings && $read->isEmpty()) {
            return $in->problem('Nothing is set: name on, db or tap.');
        }
        if ($read instanceof PointSettings && $read->isEmpty()) {
            return $in->problem('Nothing is set: name '
                .implode(', ', array_map(fn (DialKind $kind) => $kind->key(), Dials::all())).', or a device or default.');
        }

        return $read;
    }
}
