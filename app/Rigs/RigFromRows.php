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
use App\Models\Rig;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\InvalidDocument;
use HiddenWire\Core\Document\PlainText;
use HiddenWire\Core\Equipment\Controls\Controls;
use HiddenWire\Core\Rig\Rig as CoreRig;
use Illuminate\Database\Eloquent\Model;

/**
 * Reads a rig's rows: they become the document's data, and the document's reader makes the rig, so that a row is held to the same rules as
 * a file.
 */
final class RigFromRows
{
    /** @var array<class-string<Model>, list<\stdClass>> attributes, cast, by table */
    private array $rows = [];

    public static function rig(Rig $rig): CoreRig
    {
        $data = (new self)->data($rig);
        try {
            return (new DocumentReader)->readData($data, isStored: true);
        } catch (InvalidDocument $e) {
            // Code points that are no characters were let in once.
            $text = (string) json_encode($data, JSON_UNESCAPED_UNICODE);
            if (! PlainText::hasNoCharacters($text)) {
                throw $e;
            }

            return (new DocumentReader)->readStored($text);
        }
    }

    private function data(Rig $rig): \stdClass
    {
        // What only the database goes by is not read.
        foreach (array_diff(RigRows::TABLES, [CableEnd::class]) as $table) {
            $this->rows[$table] = $this->rowsOf($table, $rig->id);
        }
        $needs = $this->by(UnitNeed::class, 'unit');
        $points = $this->by(UnitPointSetting::class, 'unit');
        $routes = $this->by(UnitRouteSetting::class, 'unit');
        $origins = $this->by(SourceOrigin::class, 'source');
        $ears = $this->by(ListenerEar::class, 'listener');
        $changes = $this->by(SituationChange::class, 'situation');
        $held = $this->by(WishSituation::class, 'wish_position');

        return (object) [
            'format' => DocumentReader::FORMAT, 'version' => DocumentReader::VERSION, 'name' => $rig->name, 'summary' => $rig->summary,
            'places' => $this->each(Place::class, fn ($row) => ['id' => $row->key, 'kind' => $row->kind, 'name' => $row->name]),
            'models' => $this->models(),
            'units' => $this->each(Unit::class, fn ($row) => [
                'id' => $row->key,
                'model' => $row->model,
                'place' => $row->place,
                'name' => $row->name,
                'firmware' => $row->firmware,
                'serial' => $row->serial,
                'notes' => $row->notes,
                'needs' => array_map(fn ($need) => $need->needs, $needs[$row->key] ?? []),
                'start' => $row->start,
                'at_login' => $row->at_login,
                'price' => $row->price,
                'supplier' => $row->supplier,
                'links' => array_map(fn (array $link) => (object) $link, $row->links ?? []),
                'ready_s' => $row->ready_s,
                'system' => $row->system === null ? null : (object) array_filter($row->system, fn (string $said) => $said !== ''),
                'licence' => $row->licence,
                'edition' => $row->edition,
                'follows' => $row->follows === null ? null : json_decode($row->follows),
                'effects' => $row->effects === null ? null : json_decode($row->effects),
                'scenes' => $row->scenes === null ? null : json_decode($row->scenes),
                'pictures' => $row->pictures === null ? null : json_decode($row->pictures),
                'always' => $row->always,
                'linked' => $row->linked,
                'names' => $row->names === null ? null : (object) $row->names,
                'settings' => (object) [
                    'points' => $this->map($points[$row->key] ?? [], 'point', fn ($set) => $this->pointControls($set)),
                    'routes' => $this->map($routes[$row->key] ?? [], 'route', fn ($set) => $this->routeControls($set)),
                    'values' => (object) ($row->values ?? []),
                ],
            ]),
            'cables' => $this->each(Cable::class, fn ($row) => [
                'id' => $row->key,
                'label' => $row->label,
                'type' => $row->type,
                'from' => "{$row->from_unit}/{$row->from_socket}",
                'to' => "{$row->to_unit}/{$row->to_socket}",
                'length_m' => $row->length_m, 'colour' => $row->colour, 'owned' => $row->owned, 'lanes' => $row->lanes,
                'price' => $row->price, 'supplier' => $row->supplier,
            ]),
            'devices' => $this->each(DeviceSetting::class, fn ($row) => [
                'computer' => $row->computer,
                'device' => $row->device,
                'name' => $row->name,
                'enabled' => $row->enabled,
                'roles' => $row->roles,
                'rate_hz' => $row->rate_hz,
                'bits' => $row->bits, 'driver_mode' => $row->driver_mode,
                'db' => $row->db, 'mute' => $row->mute, 'plays_to' => $row->plays_to,
                'unlisted' => $row->unlisted, 'processing' => $row->processing,
            ]),
            'picks' => $this->each(Pick::class, fn ($row) => ['at' => "{$row->unit}/{$row->point}", ...$this->pick($row)]),
            'air' => $this->each(
                AirPath::class,
                fn ($row) => [
                    'from' => "{$row->from_unit}/{$row->from_point}",
                    'to' => "{$row->to_unit}/{$row->to_point}",
                    'db' => $row->db,
                    ...($row->delay_ms === null ? [] : ['delay_ms' => $row->delay_ms]),
                ],
            ),
            'sources' => $this->each(Source::class, fn ($row) => [
                'id' => $row->key, 'name' => $row->name, 'kind' => $row->kind,
                'origins' => array_map(
                    fn ($origin) => (object) [
                        'at' => "{$origin->unit}/{$origin->point}",
                        'db' => $origin->db,
                        ...($origin->delay_ms === null ? [] : ['delay_ms' => $origin->delay_ms]),
                    ],
                    $origins[$row->key] ?? [],
                ),
                ...($row->loudness_db === null ? [] : ['loudness_db' => $row->loudness_db, 'measured' => $row->measured]),
            ]),
            'listeners' => $this->each(Listener::class, fn ($row) => [
                'id' => $row->key,
                'name' => $row->name,
                'kind' => $row->kind,
                'at' => array_map(fn ($ear) => "{$ear->unit}/{$ear->point}", $ears[$row->key] ?? []),
            ]),
            'wishes' => $this->each(Wish::class, fn ($row) => [
                'source' => $row->source,
                'listener' => $row->listener,
                'want' => $row->want,
                'own_level' => $row->own_level,
                'alone' => $row->alone,
                'treatment' => $row->treatment,
                'side' => $row->side,
                'situations' => array_map(fn ($one) => $one->situation, $held[$row->position] ?? []),
            ]),
            'situations' => $this->each(Situation::class, fn ($row) => [
                'id' => $row->key,
                'name' => $row->name,
                'changes' => array_map($this->change(...), $changes[$row->key] ?? []),
                'absent' => $row->absent ?? [],
                'pulled' => $row->pulled ?? [],
                'plugged' => $row->plugged ?? [],
                'effects' => array_map(fn (array $switch) => (object) $switch, $row->effects ?? []),
                'scenes' => array_map(fn (array $choice) => (object) $choice, $row->scenes ?? []),
                'defaults' => array_map(fn (array $default) => (object) $default, $row->defaults ?? []),
                'settings' => array_map(fn (array $set) => (object) $set, $row->settings ?? []),
                'levels' => array_map(fn (array $level) => (object) $level, $row->levels ?? []),
            ]),
            'reasons' => $this->each(Reason::class, fn ($row) => [
                'about' => $row->about, 'why' => $row->why, 'leave_alone' => $row->leave_alone,
            ]),
            'facts' => $this->each(Fact::class, fn ($row) => array_filter([
                'about' => $row->about, 'with' => $row->with, 'certainty' => $row->certainty, 'what' => $row->what, 'by' => $row->by,
                'on' => $row->on, 'firmware' => $row->firmware, 'proof' => $row->proof, 'minutes' => $row->minutes,
            ], fn (mixed $value) => $value !== null)),
            'measures' => $this->each(Measure::class, fn ($row) => [
                'about' => $row->about, 'kind' => $row->kind, 'value' => $row->value,
            ]),
            'steps' => $this->each(ShowStep::class, fn ($row) => [
                'id' => $row->key, 'phase' => $row->phase, 'text' => $row->text, 'at_min' => $row->at_min, 'wait_s' => $row->wait_s,
            ]),
            'balances' => $this->each(Balance::class, fn ($row) => [
                'listener' => $row->listener, 'like' => $row->like, 'within_db' => $row->within_db,
            ]),
            'accepted' => $this->each(Acceptance::class, fn ($row) => [
                'evidence' => $row->evidence, 'says' => $row->says, 'why' => $row->why,
            ]),
        ];
    }

    /**
     * A table's rows as the model casts them, without making a model of each: a rig has some 1,500 rows, and only its parts are wanted.
     *
     * @param  class-string<Model>  $table
     * @return list<\stdClass>
     */
    private function rowsOf(string $table, int $rigId): array
    {
        $rows = array_values($table::query()->where('rig_id', $rigId)->orderBy('position')->toBase()->get()->all());
        $casts = array_diff_key((new $table)->getCasts(), ['id' => true]);
        foreach ($rows as $row) {
            foreach ($casts as $column => $cast) {
                $value = $row->{$column};
                $row->{$column} = $value === null ? null : match ($cast) {
                    'boolean' => (bool) $value,
                    'float' => (float) $value,
                    'array' => json_decode($value, true, flags: JSON_THROW_ON_ERROR),
                    default => throw new \LogicException("No reading for the cast {$cast}."),
                };
            }
        }

        return $rows;
    }

    private function models(): \stdClass
    {
        $points = $this->by(ModelPoint::class, 'model');
        $sockets = $this->by(ModelSocket::class, 'model');
        $routes = $this->by(ModelRoute::class, 'model');
        $lanes = [];
        foreach ($this->rows[ModelLane::class] as $lane) {
            $lanes["{$lane->model}/{$lane->socket}"][] = $lane;
        }

        return $this->map($this->rows[EquipmentModel::class], 'key', fn ($model) => $this->known([
            'name' => $model->name, 'family' => $model->family, 'summary' => $model->summary, 'supply' => $model->supply,
            'sockets' => array_map(fn ($socket) => $this->known([
                'id' => $socket->key,
                'label' => $socket->label,
                'connector' => $socket->connector,
                'signal' => $socket->signal,
                'balanced' => $socket->balanced,
                'phantom' => $socket->phantom,
                'nominal_dbu' => $socket->nominal_dbu,
                'max_dbu' => $socket->max_dbu,
                'impedance_ohm' => $socket->impedance_ohm,
                'colour' => $socket->colour ?? '',
                'isolated' => $socket->isolated, 'link' => $socket->link,
                'ein_dbu' => $socket->ein_dbu, 'gives_ma' => $socket->gives_ma, 'rates_hz' => $socket->rates_hz,
                'lanes' => array_map(fn ($lane) => $this->known([
                    'id' => $lane->key,
                    'way' => $lane->way,
                    'point' => $lane->point,
                    'signal' => $lane->signal,
                    'channels' => $lane->channels,
                    'device' => $this->offer($lane),
                ]), $lanes["{$model->key}/{$socket->key}"] ?? []),
            ]), $sockets[$model->key] ?? []),
            'points' => array_map(fn ($point) => $this->known([
                'id' => $point->key,
                'kind' => $point->kind,
                'label' => $point->label,
                'channels' => $point->channels,
                'gain' => $this->span($point, 'gain'),
                'fader' => $this->span($point, 'fader'),
                'mute' => $point->mute,
                'mono' => $point->mono,
                'delay_to_ms' => $point->delay_to_ms,
                'picks' => $point->picks,
                'pick_from' => $point->pick_from,
                'several' => $point->several,
                'device_of' => $point->device_of,
                'solo' => $point->solo,
                'solo_tap' => $point->solo_tap,
                'can_follow' => $point->can_follow,
                'effects' => $point->effects === null ? null : (object) $point->effects,
                'in_scenes' => $point->in_scenes,
                'capsule' => $point->capsule === null ? null : (object) $point->capsule,
                'made_at' => $point->made_at === null ? null : (object) $point->made_at,
                'holds' => $point->holds,
                'device' => $this->offer($point),
            ]), $points[$model->key] ?? []),
            'routes' => array_map(fn ($route) => $this->known([
                'from' => $route->from,
                'to' => $route->to,
                'on' => $route->on,
                'db' => $route->db,
                'tap' => $route->tap,
                'map' => $route->map,
                'group' => $route->group,
                'choice' => $route->choice,
                'delay_ms' => $route->delay_ms, 'can' => $route->can,
                'made_at' => $route->made_at === null ? null : (object) $route->made_at,
                'holds' => $route->holds,
            ]), $routes[$model->key] ?? []),
            'auto_mutes' => array_map(fn (array $rule) => (object) $rule, $model->auto_mutes),
            'runs_on' => array_map(
                fn (array $need) => (object) array_filter($need, fn (string $said) => $said !== ''),
                $model->runs_on ?? [],
            ),
            'asks' => $model->asks ?? [],
            'settings' => $model->settings === null ? [] : json_decode($model->settings),
            'meters' => $model->meters === null ? [] : json_decode($model->meters),
            'lamps' => $model->lamps === null ? [] : json_decode($model->lamps),
            'made_at' => $model->made_at === null ? null : (object) $model->made_at,
            'holds' => $model->holds,
            'takes' => $model->takes,
            'rules' => $model->rules === null ? [] : json_decode($model->rules),
            'grows' => $model->grows === null ? [] : json_decode($model->grows),
            'draws_ma' => $model->draws_ma,
            'limits' => $this->known([
                'channels_read' => $model->channels_read,
                'devices_at_once' => $model->devices_at_once,
                'sources' => $model->sources,
                'tracks' => $model->tracks,
            ]),
        ]));
    }

    private function change(\stdClass $row): \stdClass
    {
        return (object) [
            'at' => "{$row->unit}/".($row->route ?? $row->point),
            'set' => match (true) {
                $row->is_pick => $this->known($this->pick($row)),
                $row->route !== null => $this->routeControls($row),
                default => $this->pointControls($row),
            },
        ];
    }

    private function pointControls(\stdClass $row): \stdClass
    {
        $controls = [];
        foreach (Controls::all() as $kind) {
            $controls[$kind->key()] = $row->{$kind->key()};
        }

        return $this->known($controls);
    }

    private function routeControls(\stdClass $row): \stdClass
    {
        return $this->known(['on' => $row->on, 'db' => $row->db, 'tap' => $row->tap]);
    }

    /** @return array<string, mixed> */
    private function pick(\stdClass $row): array
    {
        return ['device' => $row->device, 'default' => $row->follows, 'channels' => $row->channels, 'tap' => $row->device_tap,
            'db' => $row->pick_db, 'mute' => $row->pick_mute ? true : null, 'mode' => $row->pick_mode, 'also' => $row->also];
    }

    private function offer(\stdClass $row): ?\stdClass
    {
        return $row->device_direction === null ? null
            : $this->known([
                'direction' => $row->device_direction,
                'system_name' => $row->device_name,
                'latency_ms' => $row->device_latency_ms,
            ]);
    }

    private function span(\stdClass $row, string $name): ?\stdClass
    {
        return $row->{"{$name}_from"} === null ? null
            : $this->known([
                'from' => $row->{"{$name}_from"}, 'to' => $row->{"{$name}_to"}, 'db' => $row->{"{$name}_db"},
                'scale' => $row->{"{$name}_scale"} === null ? null : (object) $row->{"{$name}_scale"},
            ]);
    }

    /**
     * @param  class-string<Model>  $table
     * @param  callable(\stdClass): array<string, mixed>  $data
     * @return list<\stdClass>
     */
    private function each(string $table, callable $data): array
    {
        return array_map(fn (\stdClass $row) => $this->known($data($row)), $this->rows[$table]);
    }

    /**
     * @param  array<int, \stdClass>  $rows
     * @param  callable(\stdClass): \stdClass  $data
     */
    private function map(array $rows, string $key, callable $data): \stdClass
    {
        $map = [];
        foreach ($rows as $row) {
            $map[$row->{$key}] = $data($row);
        }

        return (object) $map;
    }

    /**
     * @param  class-string<Model>  $table
     * @return array<array-key, list<\stdClass>>
     */
    private function by(string $table, string $column): array
    {
        $by = [];
        foreach ($this->rows[$table] as $row) {
            $by[$row->{$column}][] = $row;
        }

        return $by;
    }

    /** @param  array<string, mixed>  $fields */
    private function known(array $fields): \stdClass
    {
        return (object) array_filter($fields, fn (mixed $value) => $value !== null);
    }
}
