<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Models\Content\Acceptance;
use App\Models\Content\AirPath;
use App\Models\Content\Balance;
use App\Models\Content\Cable;
use App\Models\Content\CableEnd;
use App\Models\Content\DeviceSetting;
use App\Models\Content\EquipmentModel;
use App\Models\Content\Fact;
use App\Models\Content\Listener;
use App\Models\Content\ListenerEar;
use App\Models\Content\Measure;
use App\Models\Content\ModelLane;
use App\Models\Content\ModelPoint;
use App\Models\Content\ModelRoute;
use App\Models\Content\ModelSocket;
use App\Models\Content\Pick;
use App\Models\Content\Place;
use App\Models\Content\Reason;
use App\Models\Content\ShowStep;
use App\Models\Content\Situation;
use App\Models\Content\SituationChange;
use App\Models\Content\Source;
use App\Models\Content\SourceOrigin;
use App\Models\Content\Unit;
use App\Models\Content\UnitNeed;
use App\Models\Content\UnitPointSetting;
use App\Models\Content\UnitRouteSetting;
use App\Models\Content\Wish;
use App\Models\Content\WishSituation;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Equipment\AutoMute;
use HiddenWire\Core\Equipment\Controls\ControlKind;
use HiddenWire\Core\Equipment\Controls\Controls;
use HiddenWire\Core\Equipment\DeviceOffer;
use HiddenWire\Core\Equipment\Span;
use HiddenWire\Core\Rig as Core;
use Illuminate\Database\Eloquent\Model;

/**
 * A rig as rows, and rows as a rig's parts. The tables hold exactly what a document holds; this class is the one place that knows which
 * column is which property.
 *
 * @phpstan-type Rows array<class-string<Model>, list<array<string, mixed>>>
 */
final class RigRows
{
    /** Every table of content, parents before what refers to them. */
    public const TABLES = [
        Place::class,
        EquipmentModel::class,
        ModelPoint::class,
        ModelSocket::class,
        ModelLane::class,
        ModelRoute::class,
        Unit::class,
        UnitNeed::class,
        UnitPointSetting::class,
        UnitRouteSetting::class,
        Cable::class,
        CableEnd::class,
        DeviceSetting::class,
        Pick::class,
        AirPath::class,
        Source::class,
        SourceOrigin::class,
        Listener::class,
        ListenerEar::class,
        Situation::class, SituationChange::class, Wish::class, WishSituation::class, Reason::class, ShowStep::class, Acceptance::class,
        Balance::class, Fact::class, Measure::class,
    ];

    /** Rows in one INSERT; MariaDB takes 65,535 placeholders, the widest table has 24 columns. */
    private const CHUNK = 1000;

    /**
     * Tables that others refer to, by what their rows are told apart by: of these only the rows that differ are written. Any
     * other table is written anew where it differs.
     */
    private const REFERRED_TO = [
        Place::class => ['key'],
        EquipmentModel::class => ['key'],
        ModelPoint::class => ['model', 'key'],
        ModelSocket::class => ['model', 'key'],
        ModelLane::class => ['model', 'socket', 'key'],
        ModelRoute::class => ['model', 'key'],
        Unit::class => ['key', 'model'],
        Source::class => ['key'],
        Listener::class => ['key'],
        Situation::class => ['key'],
        Wish::class => ['position'],
    ];

    /**
     * Replaces a rig's rows by those of a rig; with what is stored now at hand, only those that differ. Call it in a transaction.
     */
    public static function store(int $rigId, Core\Rig $rig, ?Core\Rig $stored = null): void
    {
        // Most changes leave the models alone, which have most of the rows.
        $hasOtherModels = $stored?->models !== $rig->models;
        $new = self::of($rig, $hasOtherModels);
        $old = $stored === null ? null : self::of($stored, $hasOtherModels);
        $steps = $old === null ? null : self::steps($old, $new);
        if ($old === null || $steps === null) {
            self::write($rigId, $hasOtherModels ? $new : self::of($rig), self::TABLES);

            return;
        }
        $tables = array_values(array_filter(
            array_diff(self::TABLES, array_keys(self::REFERRED_TO)),
            fn (string $table) => $old[$table] !== $new[$table],
        ));
        $at = fn (string $table, array $row) => $table::query()->where('rig_id', $rigId)->where(array_intersect_key(
            $row,
            array_flip(self::REFERRED_TO[$table]),
        ));
        self::clear($rigId, $tables);
        foreach ($steps as $table => ['other' => $other, 'more' => $more]) {
            foreach ($other as $row) {
                $at($table, $row)->update($row);
            }
            self::insert($rigId, $table, $more);
        }
        foreach ($tables as $table) {
            self::insert($rigId, $table, $new[$table]);
        }
        // Last, when nothing refers to them any more: what is deleted takes with it whatever does.
        foreach (array_reverse($steps, true) as $table => ['gone' => $gone]) {
            foreach ($gone as $row) {
                $at($table, $row)->delete();
            }
        }
    }

    /**
     * What has to be done in the tables that others refer to; null where rows change places, or some come while others go: then all is
     * written anew.
     *
     * @param  Rows  $old
     * @param  Rows  $new
     * @return array<class-string<Model>, array{gone: list<array<string, mixed>>, other: list<array<string, mixed>>,
     *     more: list<array<string, mixed>>}>|null
     */
    private static function steps(array $old, array $new): ?array
    {
        $steps = [];
        foreach (self::REFERRED_TO as $table => $columns) {
            if ($old[$table] === $new[$table]) {
                continue;
            }
            $named = fn (array $rows): array => array_combine(
                array_map(fn (array $row) => implode(' ', array_map(fn (string $column) => $row[$column], $columns)), $rows),
                $rows,
            );
            [$was, $is] = [$named($old[$table]), $named($new[$table])];
            foreach (array_intersect_key($is, $was) as $name => $row) {
                if ($row['position'] !== $was[$name]['position']) {
                    return null;
                }
            }
            $steps[$table] = [
                'gone' => array_values(array_diff_key($was, $is)), 'more' => array_values(array_diff_key($is, $was)),
                'other' => array_values(array_filter(
                    $is,
                    fn (array $row, string|int $name) => isset($was[$name]) && $was[$name] !== $row,
                    ARRAY_FILTER_USE_BOTH,
                )),
            ];
            if ($steps[$table]['gone'] !== [] && $steps[$table]['more'] !== []) {
                return null;
            }
        }

        return $steps;
    }

    /**
     * @param  Rows  $rows
     * @param  list<class-string<Model>>  $tables
     */
    private static function write(int $rigId, array $rows, array $tables): void
    {
        self::clear($rigId, $tables);
        foreach ($tables as $table) {
            self::insert($rigId, $table, $rows[$table]);
        }
    }

    /** @param  list<class-string<Model>>  $tables */
    private static function clear(int $rigId, array $tables): void
    {
        foreach (array_reverse($tables) as $table) {
            $table::query()->where('rig_id', $rigId)->delete();
        }
    }

    /**
     * @param  class-string<Model>  $table
     * @param  list<array<string, mixed>>  $rows
     */
    private static function insert(int $rigId, string $table, array $rows): void
    {
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            $table::query()->insert(array_map(fn (array $row) => ['rig_id' => $rigId, ...$row], $chunk));
        }
    }

    /** @return Rows */
    public static function of(Core\Rig $rig, bool $withModels = true): array
    {
        $rows = array_fill_keys(self::TABLES, []);
        $model = fn (string $unit): string => $rig->units[$unit]->model;
        $into = fn (string $unit, string $column, string $thing, string $prefix = ''): array => [
            "{$prefix}unit" => $unit,
            "{$prefix}unit_model" => $model($unit),
            "{$prefix}{$column}" => $thing,
        ];
        $position = 0;
        foreach ($rig->places as $place) {
            $rows[Place::class][] = ['position' => $position++, 'key' => $place->id, 'kind' => $place->kind->value, 'name' => $place->name];
        }
        if ($withModels) {
            self::models($rig, $rows);
        }
        $position = 0;
        foreach ($rig->units as $unit) {
            $rows[Unit::class][] = [
                'position' => $position++,
                'key' => $unit->id,
                'model' => $unit->model,
                'place' => $unit->place,
                'name' => $unit->name,
                'firmware' => $unit->firmware,
                'serial' => $unit->serial, 'notes' => $unit->notes, 'start' => $unit->start, 'at_login' => $unit->atLogin,
                'price' => $unit->price,
                'supplier' => $unit->supplier,
                'links' => $unit->links === [] ? null : self::json($unit->links),
                'ready_s' => $unit->readyS,
                'system' => self::json($unit->system),
                'licence' => $unit->licence,
                'values' => $unit->values === [] ? null : self::json((object) array_map(DocumentWriter::value(...), $unit->values)),
                'edition' => $unit->edition,
                'follows' => $unit->follows === []
                    ? null
                    : self::json((object) array_map((new DocumentWriter)->following(...), $unit->follows)),
                'effects' => $unit->effects === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->effect(...), $unit->effects)),
                'scenes' => $unit->scenes === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->scene(...), $unit->scenes)),
                'pictures' => $unit->pictures === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->picture(...), $unit->pictures)),
                'always' => $unit->always === [] ? null : self::json($unit->always),
                'linked' => $unit->linked === [] ? null : self::json($unit->linked),
                'names' => $unit->names === [] ? null : self::json((object) $unit->names),
            ];
            foreach ($unit->needs as $i => $needed) {
                $rows[UnitNeed::class][] = ['position' => $i, 'unit' => $unit->id, 'needs' => $needed];
            }
            $i = 0;
            foreach ($unit->points as $point => $settings) {
                $rows[UnitPointSetting::class][] = [
                    'position' => $i++,
                    ...$into($unit->id, 'point', (string) $point),
                    ...self::pointControls($settings),
                ];
            }
            $i = 0;
            foreach ($unit->routes as $route => $settings) {
                $rows[UnitRouteSetting::class][] = [
                    'position' => $i++,
                    ...$into($unit->id, 'route', (string) $route),
                    ...self::routeControls($settings),
                ];
            }
        }
        $position = 0;
        $faults = array_fill_keys(array_map(fn (Core\Problem $problem) => $problem->fault, $rig->faults), true);
        $inSocket = $labelled = $waits = $out = [];
        foreach ($rig->situations as $situation) {
            $out += array_fill_keys($situation->pulled, true);
        }
        foreach ($rig->cables as $cable) {
            foreach (['from' => $cable->from, 'to' => $cable->to] as $end => $at) {
                $inSocket[(string) $at] = ($inSocket[(string) $at] ?? -1) + 1;
                $waits[(string) $at] = ($waits[(string) $at] ?? false) || isset($out[$cable->id]);
                // The database lets one lead into a socket, but for those that take several, those that wait for their turn, and faults
                // that were stored before.
                $several = $rig->socket($at)->connector->takesSeveral() || $waits[(string) $at]
                    || isset($faults["taken {$cable->id} {$at}"]);
                $rows[CableEnd::class][] = [
                    'position' => 2 * $position + ($end === 'to' ? 1 : 0),
                    'cable' => $cable->id,
                    'end' => $end,
                    'unit' => $at->unit,
                    'socket' => $at->socket,
                    'twin' => $several ? $inSocket[(string) $at] : 0,
                ];
            }
            $labelled[$cable->label] = ($labelled[$cable->label] ?? -1) + 1;
            $rows[Cable::class][] = [
                'label_twin' => isset($faults["label {$cable->id} {$cable->label}"]) ? $labelled[$cable->label] : 0,
                'position' => $position++, 'key' => $cable->id, 'label' => $cable->label, 'type' => $cable->type->value,
                ...$into($cable->from->unit, 'socket', $cable->from->socket, 'from_'),
                ...$into($cable->to->unit, 'socket', $cable->to->socket, 'to_'),
                'length_m' => $cable->lengthM, 'colour' => $cable->colour, 'owned' => $cable->owned, 'lanes' => self::json($cable->lanes),
                'price' => $cable->price, 'supplier' => $cable->supplier,
            ];
        }
        foreach ($rig->devices as $i => $device) {
            $rows[DeviceSetting::class][] = [
                'position' => $i,
                'computer' => $device->computer,
                'device' => (string) $device->device,
                'device_unit' => $device->device->unit,
                'name' => $device->name,
                'enabled' => $device->enabled,
                'roles' => self::json(array_map(fn (Core\Role $role) => $role->value, $device->roles)),
                'rate_hz' => $device->rateHz,
                'bits' => $device->bits, 'driver_mode' => $device->driverMode?->value,
                'db' => $device->db?->value(), 'mute' => $device->mute,
                'plays_to' => $device->playsTo === null ? null : (string) $device->playsTo,
                'unlisted' => $device->unlisted?->value,
                'processing' => $device->processing === [] ? null : self::json($device->processing),
            ];
        }
        $position = 0;
        foreach ($rig->picks as $pick) {
            $rows[Pick::class][] = ['position' => $position++, ...$into($pick->at->unit, 'point', $pick->at->point), ...self::pick($pick)];
        }
        foreach ($rig->air as $i => $path) {
            $rows[AirPath::class][] = [
                'position' => $i,
                ...$into($path->from->unit, 'point', $path->from->point, 'from_'),
                ...$into($path->to->unit, 'point', $path->to->point, 'to_'),
                'db' => $path->db->value(),
                'delay_ms' => $path->delay?->value(),
            ];
        }
        $position = 0;
        foreach ($rig->sources as $source) {
            $rows[Source::class][] = [
                'position' => $position++,
                'key' => $source->id,
                'name' => $source->name,
                'kind' => $source->kind->value,
                'loudness_db' => $source->loudness?->number(),
                'measured' => $source->isMeasured,
            ];
            foreach ($source->origins as $i => $origin) {
                $rows[SourceOrigin::class][] = [
                    'position' => $i,
                    'source' => $source->id,
                    ...$into($origin->at->unit, 'point', $origin->at->point),
                    'db' => $origin->db->value(),
                    'delay_ms' => $origin->delay?->value(),
                ];
            }
        }
        $position = 0;
        foreach ($rig->listeners as $listener) {
            $rows[Listener::class][] = [
                'position' => $position++,
                'key' => $listener->id,
                'name' => $listener->name,
                'kind' => $listener->kind->value,
            ];
            foreach ($listener->at as $i => $ear) {
                $rows[ListenerEar::class][] = ['position' => $i, 'listener' => $listener->id, ...$into($ear->unit, 'point', $ear->point)];
            }
        }
        $position = 0;
        foreach ($rig->situations as $situation) {
            $rows[Situation::class][] = [
                'position' => $position++,
                'key' => $situation->id,
                'name' => $situation->name,
                'absent' => json_encode($situation->absent),
                'pulled' => json_encode($situation->pulled),
                'effects' => $situation->effects === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->effectSwitch(...), array_values($situation->effects))),
                'scenes' => $situation->scenes === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->sceneChoice(...), array_values($situation->scenes))),
                'plugged' => $situation->plugged === [] ? null : self::json($situation->plugged),
                'defaults' => self::json(array_map((new DocumentWriter)->situationDefault(...), array_values($situation->defaults))),
                'settings' => $situation->settings === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->situationSetting(...), array_values($situation->settings))),
                'levels' => $situation->levels === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->situationLevel(...), array_values($situation->levels))),
            ];
            foreach (array_values($situation->changes) as $i => $change) {
                $rows[SituationChange::class][] = [
                    'position' => $i, 'situation' => $situation->id, 'unit' => $change->at->unit, 'unit_model' => $model($change->at->unit),
                    'point' => $change->at instanceof Core\PointRef ? $change->at->point : null,
                    'route' => $change->at instanceof Core\RouteRef ? $change->at->key : null,
                    'is_pick' => $change->set instanceof Core\Pick,
                    ...self::pointControls($change->set instanceof Core\PointSettings ? $change->set : new Core\PointSettings),
                    ...self::routeControls($change->set instanceof Core\RouteSettings ? $change->set : new Core\RouteSettings),
                    ...self::pick($change->set instanceof Core\Pick ? $change->set : null),
                ];
            }
        }
        foreach ($rig->wishes as $i => $wish) {
            $rows[Wish::class][] = [
                'position' => $i,
                'source' => $wish->source,
                'listener' => $wish->listener,
                'want' => $wish->want->value,
                'own_level' => $wish->ownLevel,
                'alone' => $wish->alone,
                'treatment' => $wish->treatment?->value,
                'side' => $wish->side?->value,
            ];
            foreach ($wish->situations as $s => $situation) {
                $rows[WishSituation::class][] = [
                    'position' => $s,
                    'wish_position' => $i,
                    'source' => $wish->source,
                    'listener' => $wish->listener,
                    'situation' => $situation,
                ];
            }
        }
        foreach ($rig->balances as $i => $balance) {
            $rows[Balance::class][] = [
                'position' => $i, 'listener' => $balance->listener, 'like' => $balance->like, 'within_db' => $balance->withinDb,
            ];
        }
        self::papers($rig->papers, $rows);

        return $rows;
    }

    /** @param  Rows  $rows */
    private static function papers(Core\Papers $papers, array &$rows): void
    {
        foreach (array_values($papers->reasons) as $i => $one) {
            $rows[Reason::class][] = [
                'position' => $i, 'about' => (string) $one->about, 'why' => $one->why, 'leave_alone' => $one->leaveAlone,
            ];
        }
        foreach (array_values($papers->facts) as $i => $one) {
            $rows[Fact::class][] = [
                'position' => $i, 'about' => (string) $one->about, 'with' => $one->with === null ? null : (string) $one->with,
                'certainty' => $one->certainty->value, 'what' => $one->what, 'by' => $one->by, 'on' => $one->on,
                'firmware' => $one->firmware, 'proof' => $one->proof, 'minutes' => $one->minutes,
            ];
        }
        foreach (array_values($papers->measures) as $i => $one) {
            $rows[Measure::class][] = [
                'position' => $i, 'about' => (string) $one->about, 'kind' => $one->kind->value, 'value' => $one->value,
            ];
        }
        foreach (array_values($papers->steps) as $i => $step) {
            $rows[ShowStep::class][] = [
                'position' => $i, 'key' => $step->id, 'phase' => $step->phase->value, 'text' => $step->text,
                'at_min' => $step->atMin, 'wait_s' => $step->waitS,
            ];
        }
        foreach (array_values($papers->accepted) as $i => $one) {
            $rows[Acceptance::class][] = ['position' => $i, 'evidence' => $one->evidence, 'says' => $one->says, 'why' => $one->why];
        }
    }

    /** @param  Rows  $rows */
    private static function models(Core\Rig $rig, array &$rows): void
    {
        $position = 0;
        foreach ($rig->models as $model) {
            $rows[EquipmentModel::class][] = [
                'position' => $position++,
                'key' => $model->id,
                'name' => $model->name,
                'family' => $model->family->value,
                'summary' => $model->summary,
                'supply' => $model->supply->value,
                'channels_read' => $model->limits->channelsRead, 'devices_at_once' => $model->limits->devicesAtOnce,
                'auto_mutes' => self::json(array_map(
                    fn (AutoMute $rule) => ['mutes' => $rule->mutes, 'while_open' => $rule->whileOpen],
                    $model->autoMutes,
                )),
                'runs_on' => $model->runsOn === [] ? null : self::json($model->runsOn),
                'asks' => $model->asks === [] ? null : self::json($model->asks),
                'settings' => $model->settings === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->setting(...), array_values($model->settings))),
                'meters' => $model->meters === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->meter(...), array_values($model->meters))),
                'lamps' => $model->lamps === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->lamp(...), array_values($model->lamps))),
                'made_at' => self::json((new DocumentWriter)->madeAt($model->made)),
                'holds' => $model->holds?->value,
                'takes' => $model->takes->value,
                'rules' => $model->rules === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->rule(...), array_values($model->rules))),
                'grows' => $model->grows === []
                    ? null
                    : self::json(array_map((new DocumentWriter)->growth(...), array_values($model->grows))),
                'sources' => $model->limits->sources,
                'tracks' => $model->limits->tracks,
                'draws_ma' => $model->drawsMa,
            ];
            $i = 0;
            foreach ($model->points as $point) {
                $rows[ModelPoint::class][] = [
                    'position' => $i++,
                    'model' => $model->id,
                    'key' => $point->id,
                    'kind' => $point->kind->value,
                    'label' => $point->label,
                    'channels' => $point->channels,
                    ...self::span('gain', $point->gain),
                    ...self::span('fader', $point->fader),
                    'mute' => $point->mute,
                    'mono' => $point->mono,
                    'delay_to_ms' => $point->delayTo?->value(),
                    'picks' => $point->picks?->value,
                    'pick_from' => $point->pickFrom === [] ? null : self::json($point->pickFrom),
                    'several' => $point->several,
                    'device_of' => $point->deviceOf,
                    'solo' => $point->solo,
                    'solo_tap' => $point->soloTap->value,
                    'can_follow' => $point->canFollow === [] ? null : self::json($point->canFollow),
                    'effects' => self::json((new DocumentWriter)->rack($point->effects)),
                    'in_scenes' => $point->inScenes,
                    'capsule' => self::json((new DocumentWriter)->capsule($point->capsule)),
                    'made_at' => self::json((new DocumentWriter)->madeAt($point->made)),
                    'holds' => $point->holds?->value,
                    ...self::offer($point->device),
                ];
            }
            $i = 0;
            foreach ($model->sockets as $socket) {
                $rows[ModelSocket::class][] = [
                    'position' => $i++,
                    'model' => $model->id,
                    'key' => $socket->id,
                    'label' => $socket->label,
                    'connector' => $socket->connector->value,
                    'signal' => $socket->signal->value,
                    'balanced' => $socket->balanced,
                    'phantom' => $socket->phantom?->value,
                    'nominal_dbu' => $socket->nominalDbu,
                    'max_dbu' => $socket->maxDbu,
                    'impedance_ohm' => $socket->impedanceOhm,
                    'colour' => $socket->colour,
                    'isolated' => $socket->isolated,
                    'link' => $socket->link?->value,
                    'ein_dbu' => $socket->einDbu,
                    'gives_ma' => $socket->givesMa,
                    'rates_hz' => $socket->ratesHz === [] ? null : self::json($socket->ratesHz),
                ];
                $l = 0;
                foreach ($socket->lanes as $lane) {
                    $rows[ModelLane::class][] = [
                        'position' => $l++,
                        'model' => $model->id,
                        'socket' => $socket->id,
                        'key' => $lane->id,
                        'point' => $lane->point,
                        'way' => $lane->way->value,
                        'signal' => $lane->signal->value,
                        'channels' => self::json($lane->channels), ...self::offer($lane->device),
                    ];
                }
            }
            $i = 0;
            foreach ($model->routes as $route) {
                $rows[ModelRoute::class][] = [
                    'position' => $i++,
                    'model' => $model->id,
                    'key' => $route->key(),
                    'from' => $route->from,
                    'to' => $route->to,
                    'on' => $route->on,
                    'db' => $route->db->value(),
                    'tap' => $route->tap->value,
                    'map' => self::json($route->map?->form),
                    'group' => $route->group,
                    'choice' => $route->choice,
                    'delay_ms' => $route->delay?->value(),
                    'can' => self::json(array_map(fn ($setting) => $setting->value, $route->can)),
                    'made_at' => self::json((new DocumentWriter)->madeAt($route->made)),
                    'holds' => $route->holds?->value,
                ];
            }
        }
    }

    private static function json(mixed $value): ?string
    {
        return $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, float|string|null> */
    private static function span(string $name, ?Span $span): array
    {
        return [
            "{$name}_from" => $span?->from->value(), "{$name}_to" => $span?->to->value(), "{$name}_db" => $span?->db->value(),
            "{$name}_scale" => self::json((new DocumentWriter)->ownScale($span?->scale)),
        ];
    }

    /** @return array<string, mixed> */
    private static function offer(?DeviceOffer $offer): array
    {
        return [
            'device_direction' => $offer?->direction->value,
            'device_name' => $offer?->systemName,
            'device_latency_ms' => $offer?->latency?->value(),
        ];
    }

    /** @return array<string, mixed> */
    private static function pointControls(Core\PointSettings $set): array
    {
        return [...array_fill_keys(array_map(fn (ControlKind $kind) => $kind->key(), Controls::all()), null), ...$set->plain()];
    }

    /** @return array<string, mixed> */
    private static function routeControls(Core\RouteSettings $set): array
    {
        return ['on' => $set->on, 'db' => $set->db?->value(), 'tap' => $set->tap?->value];
    }

    /** @return array<string, mixed> */
    private static function pick(?Core\Pick $pick): array
    {
        return [
            'device' => $pick?->device === null ? null : (string) $pick->device,
            'device_unit' => $pick?->device?->unit,
            'follows' => $pick?->default?->value,
            'channels' => self::json($pick?->channels), 'device_tap' => $pick?->tap?->value,
            'pick_db' => $pick?->db?->value(), 'pick_mute' => $pick->mute ?? false,
            'pick_mode' => $pick?->mode?->value,
            'also' => $pick === null || $pick->also === [] ? null : self::json(array_map(strval(...), $pick->also)),
        ];
    }
}
