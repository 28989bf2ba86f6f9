<?php

declare(strict_types=1);

namespace HiddenWire\Core\Rig\Format\Things;

use HiddenWire\Core\Equipment\AutoMute;
use HiddenWire\Core\Equipment\ChannelMap;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\Direction;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Family;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Equipment\Holds;
use HiddenWire\Core\Equipment\InstallNeed;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\LevelRange;
use HiddenWire\Core\Equipment\Limits;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\MadeAt;
use HiddenWire\Core\Equipment\MadeBy;
use HiddenWire\Core\Equipment\PhantomPower;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\RouteSetting;
use HiddenWire\Core\Equipment\SignalKind;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Supply;
use HiddenWire\Core\Equipment\SystemNeed;
use HiddenWire\Core\Equipment\Takes;
use HiddenWire\Core\Equipment\Tap;
use HiddenWire\Core\Equipment\Way;
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
use HiddenWire\Core\Rig\Format\Types\Whole;

/** Equipment models, their sockets and routes. */
final class Models
{
    private const SOCKETS = 200;

    private const POINTS = 400;

    private const LANES = 32;

    private const AUTO_MUTES = 20;

    private const SETTINGS = 100;

    private const METERS = 400;

    private const RULES = 100;

    private const CONTROLS = 200;

    private const RATES = 12;

    private const NAMED_POINTS = 100;

    /** A model by itself, as the catalogue holds it. */
    public static function named(string $id): Shape
    {
        return self::model()->made(fn (array $model) => new EquipmentModel(...['id' => $id, ...$model]));
    }

    /** A model of a document: its id is its key. */
    public static function model(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(EquipmentModel::class, 'model', [
            Field::of('name', Text::filled(Bounds::NAME))->needed(),
            Field::of('family', Choice::of(Family::class))->needed(),
            Field::of('summary', Text::upTo(Bounds::MODEL_SUMMARY)),
            Field::of('supply', Choice::of(Supply::class))->usual(Supply::None),
            Field::of('sockets', ListOf::of(new ObjectOf(self::socket()), self::SOCKETS)->keyed())->written(),
            Field::of('points', ListOf::of(new ObjectOf(Points::point()), self::POINTS)->keyed())->written(),
            Field::of('routes', ListOf::of(new ObjectOf(self::route()), Bounds::ROUTES)->keyed(fn (Route $route) => $route->key()))
                ->written(),
            Field::of('limits', new ObjectOf(self::limits()))->usual(new Limits),
            Field::of('auto_mutes', ListOf::of(new ObjectOf(self::autoMute()), self::AUTO_MUTES)),
            Field::of('runs_on', ListOf::of(new ObjectOf(self::systemNeed()), Bounds::SYSTEMS))->since(2),
            Field::of('asks', Lists::some(InstallNeed::class))->since(2),
            Field::of('settings', ListOf::of(new ObjectOf(NamedSettings::setting()), self::SETTINGS)->keyed())->since(2),
            Field::of('made_at', new ObjectOf(self::madeAt()), 'made')->since(2),
            Field::of('holds', Choice::of(Holds::class))->since(2),
            Field::of('meters', ListOf::of(new ObjectOf(Points::meter()), self::METERS)->keyed())->since(2),
            Field::of('lamps', ListOf::of(new ObjectOf(Points::lamp()), self::METERS)->keyed())->since(2),
            Field::of('takes', Choice::of(Takes::class))->usual(Takes::Chosen)->since(2),
            Field::of('rules', ListOf::of(new ObjectOf(NamedSettings::rule()), self::RULES)->keyed())->since(2),
            Field::of('grows', ListOf::of(new ObjectOf(NamedSettings::growth()), Growth::MOST_OF_MODEL)->keyed())->since(2),
            Field::of('draws_ma', new Whole(...Bounds::MILLIAMPERES))->since(2),
            Field::of('controls', ListOf::of(new ObjectOf(Controls::ofModel()), self::CONTROLS)->keyed())->since(3),
        ])->made(fn (array $model, Reading $in) => new EquipmentModel(...['id' => $in->here(), ...$model])));
    }

    public static function socket(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Socket::class, 'socket', [
            Field::of('id', new Id)->needed(),
            Field::of('label', Text::filled(Bounds::SHORT_NAME))->needed(),
            Field::of('connector', Choice::of(Connector::class))->needed(),
            Field::of('signal', Choice::of(SignalKind::class))->usual(
                fn (array $socket) => $socket['connector']?->usualSignal(),
            ),
            Field::of('balanced', new Flag)->usual(false),
            Field::of('phantom', Choice::of(PhantomPower::class)),
            Field::of('nominal_dbu', new Number(-80, 40)),
            Field::of('max_dbu', new Number(-80, 60)),
            Field::of('impedance_ohm', new Number(0, 10_000_000)),
            Field::of('colour', Text::upTo(Bounds::JACK_COLOUR)->orNone()),
            Field::of('isolated', new Flag)->usual(false),
            Field::of('link', Choice::of(LinkRole::class)),
            Field::of('ein_dbu', new Number(-140, 0))->since(2),
            Field::of('gives_ma', new Whole(...Bounds::MILLIAMPERES))->since(2),
            Field::of('rates_hz', ListOf::of(new Whole(...Bounds::RATE_HZ), self::RATES)->once())->since(2),
            Field::of('captive', new Flag)->usual(false)->since(3),
            Field::of('lanes', ListOf::of(new ObjectOf(self::lane()), self::LANES)->keyed())->written(),
        ]));
    }

    public static function route(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Route::class, 'route', [
            Field::of('from', new Id)->needed(),
            Field::of('to', new Id)->needed(),
            Field::of('on', new Flag)->usual(true),
            Field::of('db', new DecibelLevel)->usual(Decibels::zero()),
            Field::of('tap', Choice::of(Tap::class))->usual(Tap::PostFader),
            Field::of('map', self::channelMap()),
            Field::of('group', new Id),
            Field::of('choice', new Id),
            Field::of('delay_ms', new Time, 'delay'),
            Field::of('can', Lists::some(RouteSetting::class)),
            Field::of('made_at', new ObjectOf(self::madeAt()), 'made')->since(2),
            Field::of('holds', Choice::of(Holds::class))->since(2),
            Field::of('level', new ObjectOf(self::levelRange()))->since(3),
        ])->rule(
            fn (array $route, Reading $in) => $route['choice'] !== null && $route['group'] === null
            ? $in->problem('A choice is one of a group: name the "group" too.', 'choice') : null,
        )->rule(fn (array $route, Reading $in) => ! $route['on'] && ! in_array(RouteSetting::On, $route['can'], true)
            ? $in->problem(
                'A route that is off and can\'t be switched on does nothing: add "on" to "can" or leave the route out.',
                'on',
            ) : null)->rule(fn (array $route, Reading $in) => match (true) {
                $route['level'] === null => null,
                ! in_array(RouteSetting::Db, $route['can'], true) => $in->problem(
                    'A level that nobody can set goes nowhere: add "db" to "can" or leave this out.',
                    'level',
                ),
                ! $route['level']->reaches($route['db']) => $in->problem('The level when new lies outside.', 'level'),
                default => null,
            })->saying(['dependentRequired' => ['choice' => ['group']]]));
    }

    private static function levelRange(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(LevelRange::class, 'level_range', [
            Field::of('from', new DecibelLevel)->needed(),
            Field::of('to', new DecibelLevel)->needed(),
            Field::of('scale', new ObjectOf(Points::ownScale())),
        ])->made(function (array $range, Reading $in): ?LevelRange {
            try {
                return new LevelRange(...$range);
            } catch (\RangeException $e) {
                return $in->problem($e->getMessage());
            }
        }));
    }

    /** What a lane or a point is to a computer. */
    public static function offer(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(DeviceOffer::class, 'device_offer', [
            Field::of('direction', Choice::of(Direction::class))->needed(),
            Field::of('system_name', Text::upTo(Bounds::NAME)->orNone())->neededBefore(3),
            Field::of('latency_ms', new Time, 'latency'),
        ]));
    }

    /** Where something is set. */
    public static function madeAt(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(MadeAt::class, 'made_at', [
            Field::of('by', Choice::of(MadeBy::class))->needed(),
            Field::of('path', Text::upTo(Bounds::NAME)),
            Field::of('since', Text::upTo(Bounds::NOTE)),
        ]));
    }

    /** Points of a model, each once. */
    public static function points(): ListOf
    {
        return Lists::ids(most: self::NAMED_POINTS);
    }

    /** Channels of a device, in the order of those that take them. */
    public static function channels(): Custom
    {
        $channel = new Whole(1, Bounds::CHANNELS);
        $list = ListOf::of($channel, Bounds::CHANNELS)->once('Channel %s is named twice.');

        return new Custom(
            function (mixed $value, Reading $in) use ($list): array {
                $before = $in->count();
                $channels = $list->read($value, $in);
                if ($channels === [] && $in->count() === $before) {
                    $in->problem('Name at least one channel, or leave the key out for all.');
                }

                return $channels;
            },
            fn (array $channels): array => $channels,
            fn (Definitions $definitions): array => [...$list->schema($definitions), 'minItems' => 1],
        );
    }

    public static function lane(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Lane::class, 'lane', [
            Field::of('id', new Id)->needed(),
            Field::of('way', Choice::of(Way::class))->needed(),
            Field::of('point', new Id)->needed(),
            Field::of('signal', Choice::of(SignalKind::class))->usual(
                fn (array $lane, array $socket) => $socket['signal'] ?? SignalKind::ConsumerLine,
            ),
            Field::of('channels', self::channels()),
            Field::of('device', new ObjectOf(self::offer())),
        ])->rule(function (array $lane, Reading $in): void {
            $wanted = $lane['way'] === Way::In ? Direction::Playback : Direction::Recording;
            // On a computer's own sockets the lane that goes out is the playback device; on a unit behind USB it is the lane that comes in.
            if ($lane['device'] !== null && $lane['device']->direction !== $wanted && $lane['signal'] === SignalKind::UsbAudio
                && $in->gives('signal')) {
                $in->problem("A lane that goes {$lane['way']->value} over USB is a {$wanted->value} device.", 'device', 'direction');
            }
        }));
    }

    private static function limits(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(Limits::class, '', [
            Field::of('channels_read', new Whole(1, Bounds::CHANNELS)),
            Field::of('devices_at_once', new Whole(1, 1000)),
            Field::of('sources', new Whole(0, 1000)),
            Field::of('tracks', new Whole(0, 1000)),
        ]));
    }

    public static function autoMute(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(AutoMute::class, '', [
            Field::of('mutes', new Id)->needed(),
            Field::of('while_open', ListOf::of(new Id, self::NAMED_POINTS)->atLeast(1))->ruled(),
        ])->rule(fn (array $rule, Reading $in) => $rule['whileOpen'] === []
            ? $in->problem('Name at least one point.', 'while_open') : null));
    }

    private static function systemNeed(): Shape
    {
        return Shapes::once(__METHOD__, fn () => Shape::of(SystemNeed::class, 'system_need', [
            Field::of('system', Text::filled(Bounds::NOTE))->needed(),
            Field::of('from', Units::version()),
        ]));
    }

    private static function channelMap(): Custom
    {
        $channel = new Whole(1, Bounds::CHANNELS);

        return new Custom(
            function (mixed $form, Reading $in) use ($channel): ?ChannelMap {
                if (is_string($form) && in_array($form, ChannelMap::NAMES, true)) {
                    return ChannelMap::named($form);
                }
                if (! is_array($form) || $form === [] || count($form) > Bounds::CHANNELS ** 2) {
                    return $in->problem('A map is one of '.implode(', ', ChannelMap::NAMES)
                        .', or a list of pairs [from, to] of channels counted from 1.');
                }
                $pairs = [];
                foreach ($form as $i => $pair) {
                    $in->enter($i);
                    if (! is_array($pair) || count($pair) !== 2) {
                        $in->problem('A pair is [from, to].');
                    } else {
                        $end = function (int $end) use ($pair, $channel, $in): int {
                            $in->enter($end);
                            $read = $channel->read($pair[$end] ?? null, $in) ?? 1;
                            $in->leave();

                            return $read;
                        };
                        $read = [$end(0), $end(1)];
                        if (in_array($read, $pairs, true)) {
                            $in->problem('This pair is there twice.');
                        }
                        $pairs[] = $read;
                    }
                    $in->leave();
                }

                return ChannelMap::pairs($pairs);
            },
            fn (ChannelMap $map): string|array => $map->form,
            fn (Definitions $definitions): array => ['anyOf' => [
                ['enum' => ChannelMap::NAMES],
                ['type' => 'array', 'minItems' => 1, 'maxItems' => Bounds::CHANNELS ** 2, 'items' => [
                    'type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => $channel->schema($definitions),
                ], 'uniqueItems' => true],
            ]],
        );
    }
}
