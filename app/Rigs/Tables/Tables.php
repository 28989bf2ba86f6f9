<?php

declare(strict_types=1);

namespace App\Rigs\Tables;

use App\Models\Content;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Route;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Rig\Change;
use HiddenWire\Core\Rig\DeviceSettings;
use HiddenWire\Core\Rig\Format\Things\Computers;
use HiddenWire\Core\Rig\Format\Things\Controls;
use HiddenWire\Core\Rig\Format\Things\Models;
use HiddenWire\Core\Rig\Format\Things\Points;
use HiddenWire\Core\Rig\Format\Things\Rigs;
use HiddenWire\Core\Rig\Format\Things\Settings;
use HiddenWire\Core\Rig\Format\Things\Situations;
use HiddenWire\Core\Rig\Format\Things\Sounds;
use HiddenWire\Core\Rig\Format\Things\Units;
use HiddenWire\Core\Rig\Format\Things\Wires;
use HiddenWire\Core\Rig\Format\Things\Writings;
use HiddenWire\Core\Rig\Listener;
use HiddenWire\Core\Rig\Pick;
use HiddenWire\Core\Rig\PointRef;
use HiddenWire\Core\Rig\PointSettings;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\RouteRef;
use HiddenWire\Core\Rig\RouteSettings;
use HiddenWire\Core\Rig\Situation;
use HiddenWire\Core\Rig\Source;
use HiddenWire\Core\Rig\Unit;
use HiddenWire\Core\Rig\Wish;

/** The tables of content, by the description of the format. */
final class Tables
{
    /** Columns of a pick that are called otherwise beside those of points and routes. */
    private const OF_PICK = [
        'default' => 'follows', 'tap' => 'device_tap', 'db' => 'pick_db', 'mute' => 'pick_mute', 'mode' => 'pick_mode',
    ];

    /** Names of columns beside an offered device. */
    private const OF_OFFER = ['id' => 'key', 'device_system_name' => 'device_name'];

    private const ID = ['id' => 'key'];

    /** @var array<string, Child>|null */
    private static ?array $all = null;

    /** @return array<string, Child> those of a rig's own lists, by key of the document; parents before what refers to them */
    public static function all(): array
    {
        return self::$all ??= [
            'places' => self::list(Table::of(Content\Place::class, Rigs::place(), self::ID), fn (Rig $rig) => $rig->places),
            'models' => self::list(self::models(), fn (Rig $rig) => $rig->models),
            'units' => self::list(self::units(), fn (Rig $rig) => $rig->units),
            'cables' => self::list(Table::of(Content\Cable::class, Wires::cable(), self::ID), fn (Rig $rig) => $rig->cables),
            'devices' => self::list(
                Table::of(Content\DeviceSetting::class, Computers::device())
                    ->ofUnit('device_unit', fn (DeviceSettings $one) => $one->device),
                fn (Rig $rig) => $rig->devices,
            ),
            'picks' => self::list(
                Table::of(Content\Pick::class, Computers::pick(), self::OF_PICK)->ofUnit('device_unit', fn (Pick $one) => $one->device),
                fn (Rig $rig) => $rig->picks,
            ),
            'air' => self::list(Table::of(Content\AirPath::class, Wires::air()), fn (Rig $rig) => $rig->air),
            'sources' => self::list(self::sources(), fn (Rig $rig) => $rig->sources),
            'listeners' => self::list(self::listeners(), fn (Rig $rig) => $rig->listeners),
            'situations' => self::list(self::situations(), fn (Rig $rig) => $rig->situations),
            'wishes' => self::list(self::wishes(), fn (Rig $rig) => $rig->wishes),
            'reasons' => self::list(Table::of(Content\Reason::class, Writings::reason()), fn (Rig $rig) => $rig->papers->reasons),
            'steps' => self::list(Table::of(Content\ShowStep::class, Writings::step(), self::ID), fn (Rig $rig) => $rig->papers->steps),
            'accepted' => self::list(Table::of(Content\Acceptance::class, Writings::acceptance()), fn (Rig $rig) => $rig->papers->accepted),
            'balances' => self::list(Table::of(Content\Balance::class, Sounds::balance()), fn (Rig $rig) => $rig->balances),
            'controls' => self::list(
                Table::of(Content\Control::class, Controls::control(), [...self::ID, 'position' => 'stands']),
                fn (Rig $rig) => $rig->controls,
            ),
            'facts' => self::list(Table::of(Content\Fact::class, Writings::fact()), fn (Rig $rig) => $rig->papers->facts),
            'measures' => self::list(Table::of(Content\Measure::class, Writings::measure()), fn (Rig $rig) => $rig->papers->measures),
        ];
    }

    /** @return array<class-string<\Illuminate\Database\Eloquent\Model>, Table> every table, parents before what refers to them */
    public static function byModel(): array
    {
        $tables = [];
        $collect = function (array $children) use (&$collect, &$tables): void {
            foreach ($children as $child) {
                $tables[$child->table->model] = $child->table;
                $collect($child->table->children);
            }
        };
        $collect(self::all());

        return $tables;
    }

    /** @param  \Closure(Rig): iterable<array-key, object>  $things */
    private static function list(Table $table, \Closure $things): Child
    {
        return new Child($table, [], $things);
    }

    private static function models(): Table
    {
        $lanes = Table::of(Content\ModelLane::class, Models::lane(), self::OF_OFFER, ['device']);

        return Table::of(
            Content\EquipmentModel::class,
            Models::model(),
            ['limits' => ''],
            ['limits'],
            ['sockets', 'points', 'routes'],
        )->keyedBy('key')->child('points', new Child(
            Table::of(Content\ModelPoint::class, Points::point(), self::OF_OFFER, ['gain', 'fader', 'device']),
            ['model' => 'key'],
            fn (EquipmentModel $model) => $model->points,
        ))->child('sockets', new Child(
            Table::of(Content\ModelSocket::class, Models::socket(), self::ID, [], ['lanes'])->child('lanes', new Child(
                $lanes,
                ['model' => 'model', 'socket' => 'key'],
                fn (Socket $socket) => $socket->lanes,
            )),
            ['model' => 'key'],
            fn (EquipmentModel $model) => $model->sockets,
        ))->child('routes', new Child(
            Table::of(Content\ModelRoute::class, Models::route())
                ->column(new Column('key', ColumnKind::Text, [], fn (Route $route) => $route->key())),
            ['model' => 'key'],
            fn (EquipmentModel $model) => $model->routes,
        ));
    }

    private static function units(): Table
    {
        $byUnit = ['unit' => 'key', 'unit_model' => 'model'];

        return Table::of(Content\Unit::class, Units::unit(), self::ID, [], ['needs', 'points', 'routes'])->child('needs', new Child(
            Table::holding(Content\UnitNeed::class)->column(new Column('needs', ColumnKind::Text, ['*'], fn (string $needed) => $needed)),
            ['unit' => 'key'],
            fn (Unit $unit) => $unit->needs,
        ))->child('settings.points', new Child(
            Table::of(Content\UnitPointSetting::class, Settings::ofPoint())->keyedBy('point'),
            $byUnit,
            fn (Unit $unit) => $unit->points,
        ))->child('settings.routes', new Child(
            Table::of(Content\UnitRouteSetting::class, Settings::ofRoute())->keyedBy('route'),
            $byUnit,
            fn (Unit $unit) => $unit->routes,
        ));
    }

    private static function sources(): Table
    {
        return Table::of(Content\Source::class, Sounds::source(), self::ID, [], ['origins'])->child('origins', new Child(
            Table::of(Content\SourceOrigin::class, Sounds::origin()),
            ['source' => 'key'],
            fn (Source $source) => $source->origins,
        ));
    }

    private static function listeners(): Table
    {
        return Table::of(Content\Listener::class, Sounds::listener(), self::ID, [], ['at'])->child('at', new Child(
            Table::holding(Content\ListenerEar::class)->referring(['*'], '', 'point', fn (PointRef $at) => $at),
            ['listener' => 'key'],
            fn (Listener $listener) => $listener->at,
        ));
    }

    private static function wishes(): Table
    {
        return Table::of(Content\Wish::class, Sounds::wish(), [], [], ['situations'])->child('situations', new Child(
            Table::holding(Content\WishSituation::class)
                ->column(new Column('situation', ColumnKind::Text, ['*'], fn (string $situation) => $situation)),
            ['wish_position' => 'position', 'source' => 'source', 'listener' => 'listener'],
            fn (Wish $wish) => $wish->situations,
        ));
    }

    private static function situations(): Table
    {
        return Table::of(Content\Situation::class, Situations::situation(), self::ID, [], ['changes'])->child('changes', new Child(
            self::changes(),
            ['situation' => 'key'],
            fn (Situation $situation) => array_values($situation->changes),
        ));
    }

    /** A change holds what is set of a point, a route or a pick: the columns of all three, of which one kind is used. */
    private static function changes(): Table
    {
        return Table::holding(Content\SituationChange::class)
            ->column(new Column('unit', ColumnKind::Text, [], fn (Change $one) => $one->at->unit))
            ->column(new Column('unit_model', ColumnKind::Text, [], fn (Change $one, Rig $rig) => $rig->units[$one->at->unit]->model))
            ->column(new Column('point', ColumnKind::Text, [], fn (Change $one) => $one->at instanceof PointRef ? $one->at->point : null))
            ->column(new Column('route', ColumnKind::Text, [], fn (Change $one) => $one->at instanceof RouteRef ? $one->at->key : null))
            ->column(new Column('is_pick', ColumnKind::Flag, [], fn (Change $one) => $one->set instanceof Pick))
            ->and(
                Settings::ofPoint()->fields,
                path: ['set'],
                from: fn (Change $one) => $one->set instanceof PointSettings ? $one->set : null,
            )->and(
                Settings::ofRoute()->fields,
                path: ['set'],
                from: fn (Change $one) => $one->set instanceof RouteSettings ? $one->set : null,
            )
            ->and(
                Computers::change()->fields,
                self::OF_PICK,
                path: ['set'],
                from: fn (Change $one) => $one->set instanceof Pick ? $one->set : null,
                isFilled: true,
            )->ofUnit('device_unit', fn (Change $one) => $one->set instanceof Pick ? $one->set->device : null)
            ->saying('at', fn (\stdClass $row) => "{$row->unit}/".($row->route ?? $row->point));
    }
}
