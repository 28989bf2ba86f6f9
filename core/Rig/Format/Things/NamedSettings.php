<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\Condition;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Equipment\Holds;
use HiddenWire\Core\Equipment\Rule;
use HiddenWire\Core\Equipment\Setting;
use HiddenWire\Core\Equipment\SettingEffect;
use HiddenWire\Core\Equipment\SettingKind;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Standing;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Rig\Format\Field;
use HiddenWire\Core\Rig\Format\Reading;
use HiddenWire\Core\Rig\Format\Shape;
use HiddenWire\Core\Rig\Format\Shapes;
use HiddenWire\Core\Rig\Format\Types\Choice;
use HiddenWire\Core\Rig\Format\Types\Flag;
use HiddenWire\Core\Rig\Format\Types\Id;
use HiddenWire\Core\Rig\Format\Types\ListOf;
use HiddenWire\Core\Rig\Format\Types\MapOf;
use HiddenWire\Core\Rig\Format\Types\Number;
use HiddenWire\Core\Rig\Format\Types\ObjectOf;
use HiddenWire\Core\Rig\Format\Types\Text;
use HiddenWire\Core\Rig\Format\Types\Value;
use HiddenWire\Core\Rig\Format\Types\Whole;

/** What a model can be set to by name, what it does by itself, and how it grows. */
final class NamedSettings
{
    private const CHOICES = 60;

    private const EFFECTS = 200;

    private const CONDITIONS = 20;

    private const PARTS = 20;

    /** Characters of a key of two ids. */
    private const KEY = 131;

    /** A number's bounds lie within minus and plus this. */
    private const FARTHEST = 1e6;

    public static function setting(): Shape
    {
        $choice = Text::filled(Bounds::SHORT_NAME)->saying('A choice is a text of '.Bounds::SHORT_NAME.' characters at most, said once.');

        return Shapes::once(__METHOD__, fn () => Shape::of(Setting::class, 'setting', [
            Field::of('id', new Id)->needed(),
            Field::of('label', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('kind', Choice::of(SettingKind::class))->needed(),
            Field::of('choices', ListOf::of($choice, self::CHOICES)
                ->once('A choice is a text of '.Bounds::SHORT_NAME.' characters at most, said once.')),
            Field::of('from', new Number(-self::FARTHEST, self::FARTHEST))->from(fn (Setting $one) => $one->range[0] ?? null),
            Field::of('to', new Number(-self::FARTHEST, self::FARTHEST))->from(fn (Setting $one) => $one->range[1] ?? null),
            Field::of('unit', Text::upTo(Bounds::JACK_COLOUR)),
            Field::of('factory', new Value)->needed('where it stands when new'),
            Field::of('made_at', new ObjectOf(Models::madeAt()), 'made'),
            Field::of('holds', Choice::of(Holds::class)),
            Field::of('since', Text::upTo(Bounds::NOTE)),
            Field::of('effects', ListOf::of(new ObjectOf(self::effect()), self::EFFECTS)),
            Field::of('says', new MapOf(Text::filled(Bounds::STEP)->saying('This is a text of '.Bounds::STEP.' characters at most.'))),
            Field::of('lowers_others', new Flag)->usual(false)->since(3),
        ])->rule(function (array $setting, Reading $in): void {
            foreach (['from' => 'to', 'to' => 'from'] as $one => $other) {
                if ($setting[$one] === null && $setting[$other] !== null) {
                    $in->problem('This is missing: a number.', $one);
                }
            }
            if ($setting['lowersOthers'] && ($setting['kind'] !== SettingKind::Number || $setting['from'] === null)) {
                $in->problem('Only a number with "from" and "to" lowers other programs: by so many dB.', 'lowers_others');
            }
            foreach (array_diff(array_map(strval(...), array_keys($setting['says'])), $setting['choices']) as $choice) {
                $in->problem('This is none of the choices.', 'says', $choice);
            }
            if ($setting['kind'] === SettingKind::Choice && count($setting['choices']) < 2) {
                $in->problem('A choice has two or more.', 'choices');
            }
        })->made(function (array $setting, Reading $in): ?Setting {
            $range = $setting['from'] === null ? null : [$setting['from'], $setting['to']];
            unset($setting['from'], $setting['to']);
            $read = new Setting(...['range' => $range, ...$setting]);
            $trouble = $read->whyNot($read->factory);

            return $trouble === null ? $read : $in->problem($trouble, 'factory');
        })->saying(['if' => ['properties' => ['lowers_others' => ['const' => true]], 'required' => ['lowers_others']],
            'then' => ['properties' => ['kind' => ['const' => SettingKind::Number->value]], 'required' => ['from', 'to']]]));
    }

    public static function rule(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Rule::class, 'rule', [
            Field::of('id', new Id)->needed(),
            Field::of('label', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('when', ListOf::of(new ObjectOf(Shape::of(Condition::class, '', [
                Field::of('point', new Id)->needed(),
                Field::of('is', Choice::of(Standing::class))->needed(),
            ])), self::CONDITIONS)->atLeast(1))->ruled(),
            Field::of('any', new Flag, 'isAny')->usual(false),
            Field::of('routes', new MapOf(new Flag, least: 1))->ruled(),
        ])->rule(fn (array $rule, Reading $in) => $rule['when'] === [] || $rule['routes'] === []
            ? $in->problem('A rule says "when" something is so, and which "routes" are on or off then.') : null));
    }

    public static function growth(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Growth::class, 'growth', [
            Field::of('id', new Id)->needed(),
            Field::of('label', Text::filled(Bounds::SHORT_NAME)->before(3, Bounds::JACK_COLOUR))->needed(),
            Field::of('least', new Whole(0, Growth::MOST))->needed(),
            Field::of('most', new Whole(1, Growth::MOST))->needed(),
            Field::of('parts', Lists::ids(most: self::PARTS)->atLeast(1))->ruled(),
            Field::of('between', ListOf::of(new ObjectOf(
                Shape::making([
                    Field::of('from', new Id)->needed(),
                    Field::of('to', new Id)->needed(),
                ], fn (array $pair) => [$pair['from'], $pair['to']]),
                fn (array $pair) => (object) ['from' => $pair[0], 'to' => $pair[1]],
            ), self::PARTS)),
            Field::of('widens', Lists::ids(most: self::PARTS))->since(3),
        ])->rule(fn (array $growth, Reading $in) => $growth['parts'] === []
            ? $in->problem('Say by "parts" which ids each of them has.') : null));
    }

    private static function effect(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(SettingEffect::class, 'setting_effect', [
            Field::of('value', new Value)->ruled(),
            Field::of('route', Text::filled(self::KEY)->orNone()),
            Field::of('point', new Id),
            Field::of('device', Text::filled(self::KEY)->orNone()),
            Field::of('socket', new Id),
            Field::of('others_db', new Number(SettingEffect::SILENT_DB, 0)),
            Field::of('signal', Choice::of(SignalKind::class)),
            Field::of('phantom', new Flag),
            Field::of('coded', new Flag, 'isCoded')->usual(false),
            Field::of('solo_tap', Choice::of(Tap::class))->since(3),
            // Of what is no switch, it is not said.
            Field::of('on', new Flag)->from(fn (SettingEffect $one) => $one->isSwitch() ? $one->on : null),
        ])->made(function (array $effect, Reading $in): ?SettingEffect {
            $ofSocket = count(array_filter([$effect['signal'] !== null, $effect['phantom'] !== null, $effect['isCoded']]));
            $isOfSocket = $effect['socket'] !== null && $ofSocket === 1;
            $isSwitched = $effect['othersDb'] === null && $effect['soloTap'] === null && ! $isOfSocket;
            $said = array_filter(
                [$effect['route'], $effect['point'], $effect['device'], $effect['othersDb'], $effect['soloTap'], $effect['socket']],
                fn (mixed $one) => $one !== null,
            );
            if ($effect['value'] === null || ($isSwitched && $effect['on'] === null) || count($said) !== 1
                || $isOfSocket !== ($effect['socket'] !== null || $ofSocket > 0)) {
                return $in->problem('An effect says at which "value" a "route", a "point" or a "device" is "on" or not, "others_db", '
                    .'"solo_tap", or of a "socket" its "signal", "phantom" or "coded".');
            }

            return new SettingEffect(...[...$effect, 'on' => $effect['on'] ?? true]);
        })->saying(['oneOf' => array_map(fn (array $keys) => ['required' => $keys], [
            ['route', 'on'], ['point', 'on'], ['device', 'on'], ['others_db'], ['solo_tap'],
            ['socket', 'signal'], ['socket', 'phantom'], ['socket', 'coded'],
        ])]));
    }
}
