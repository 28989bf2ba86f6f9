<?php

declare(strict_types=1);

namespace HiddenWire\Core\Document;

use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Rig\Consistency;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\RigParts;
use HiddenWire\Core\Rig\Situation;

/**
 * An equipment model as a person writes it down in rows: its points, which signals its sockets carry to and from them, and what leads
 * where inside. Rows name points and sockets by their labels. What a model that it is made from knows beyond the rows (levels, phantom
 * power, channel maps, groups) stays with the rows that stay.
 *
 * @phpstan-type Row array<string, string>
 */
final class ModelSketch
{
    /** The span of a gain or fader that a person adds: what most have. */
    private const GAIN = ['from' => -12, 'to' => 60, 'db' => 0];

    private const FADER = ['from' => -90, 'to' => 10, 'db' => 0];

    /**
     * @param  array{name: string, family: string, summary: string}  $head
     * @param  list<Row>  $points  `id`, `label`, `kind`, `channels`, and `gain`, `fader`, `mute`, `mono`, `inverted` where it has them
     * @param  list<Row>  $lanes  `socket`, `lane` (ids where they exist), `label` and `connector` of the socket, `way`, `point` by label,
     *     `device` (`playback` or `recording`) where a computer lists it
     * @param  list<Row>  $routes  `from` and `to` by label, `on`, `can_on`, `can_db`
     * @param  array<string, mixed>  $base  the document of the model that it is made from
     */
    public function __construct(
        private readonly array $head,
        private readonly array $points,
        private readonly array $lanes,
        private readonly array $routes,
        private readonly array $base = [],
    ) {
    }

    /**
     * The rows of a model.
     *
     * @return array{points: list<array<string, string>>, lanes: list<array<string, string>>, routes: list<array<string, string>>}
     */
    public static function rows(EquipmentModel $model): array
    {
        $points = $lanes = $routes = [];
        foreach ($model->points as $point) {
            $points[] = ['id' => $point->id, 'label' => $point->label, 'kind' => $point->kind->value,
                'channels' => (string) $point->channels, 'gain' => $point->gain === null ? '' : '1', 'fader' => $point->fader === null
                ? '' : '1',
                'mute' => $point->mute === null ? '' : '1', 'mono' => $point->mono === null ? '' : '1',
                'inverted' => $point->inverted === null ? '' : '1'];
        }
        foreach ($model->sockets as $socket) {
            foreach ($socket->lanes as $lane) {
                $lanes[] = [
                    'socket' => $socket->id,
                    'lane' => $lane->id,
                    'label' => $socket->label,
                    'connector' => $socket->connector->value,
                    'way' => $lane->way->value,
                    'point' => $model->points[$lane->point]->label,
                    'device' => $lane->device?->direction->value ?? '',
                ];
            }
        }
        foreach ($model->routes as $route) {
            $can = array_map(fn ($setting) => $setting->value, $route->can);
            $routes[] = [
                'from' => $model->points[$route->from]->label,
                'to' => $model->points[$route->to]->label,
                'on' => $route->on ? '1' : '',
                'can_on' => in_array('on', $can, true) ? '1' : '',
                'can_db' => in_array('db', $can, true) ? '1' : '',
            ];
        }

        return ['points' => $points, 'lanes' => $lanes, 'routes' => $routes];
    }

    /**
     * The model, as a catalogue keeps it.
     *
     * @throws InvalidDocument with every offence; pointers go into the model's document
     */
    public function model(string $id): EquipmentModel
    {
        $model = (new DocumentReader)->model(json_decode((string) json_encode($this->document())), $id, []);
        $alone = new RigParts('sketch', models: [$id => $model], situations: [new Situation('base', 'Base')]);
        $found = (new Consistency($alone))->problems();
        if ($found !== []) {
            throw new InvalidDocument($found);
        }

        return $model;
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        $points = $this->points();
        $ids = array_column($points, 'id', 'label');

        return [
            ...$this->base,
            ...array_filter($this->head, fn (string $text, string $key) => $text !== '' || $key === 'name', ARRAY_FILTER_USE_BOTH),
            'sockets' => $this->sockets($ids),
            'points' => array_map(fn (array $point) => array_filter($point, fn (mixed $value) => $value !== null), $points),
            'routes' => $this->routes($ids),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function points(): array
    {
        $held = $this->byId('points');
        $points = [];
        foreach ($this->points as $row) {
            $id = $row['id'] ?? '';
            $was = $held[$id] ?? [];
            $id = $was === [] || isset($points[$id]) ? Naming::id($row['label'] ?? '', array_keys($held + $points)) : $id;
            $has = fn (string $key, mixed $usual): mixed => ($row[$key] ?? '') === '' ? null : $was[$key] ?? $usual;
            $points[$id] = [
                ...$was,
                'id' => $id,
                'kind' => $row['kind'] ?? '',
                'label' => $row['label'] ?? '',
                'channels' => (int) ($row['channels'] ?? 0),
                'gain' => $has('gain', self::GAIN),
                'fader' => $has('fader', self::FADER),
                'mute' => $has('mute', false),
                'mono' => $has('mono', false),
                'inverted' => $has('inverted', false),
            ];
        }

        return array_values($points);
    }

    /**
     * @param  array<string, string>  $ids  of points, by label
     * @return list<array<string, mixed>>
     */
    private function sockets(array $ids): array
    {
        $held = $this->byId('sockets');
        $sockets = [];
        $named = [];
        foreach ($this->lanes as $row) {
            $label = $row['label'] ?? '';
            $id = $named[$label] ??= isset($held[$row['socket'] ?? '']) ? $row['socket'] : Naming::id($label, array_keys($held + $sockets));
            $was = $held[$id] ?? [];
            $lanesHeld = array_column((array) ($was['lanes'] ?? []), null, 'id');
            $connector = $row['connector'] ?? '';
            $isUsb = str_contains($connector, 'usb');
            $sockets[$id] ??= [
                ...$was,
                'id' => $id,
                'label' => $label,
                'connector' => $connector,
                ...($was === [] && $isUsb ? ['link' => 'device'] : []),
                'lanes' => [],
            ];
            $lane = isset($lanesHeld[$row['lane'] ?? ''])
                ? $row['lane']
                : Naming::id(($row['way'] ?? '') ?: 'lane', [...array_keys($lanesHeld), ...array_column($sockets[$id]['lanes'], 'id')]);
            $device = ($row['device'] ?? '') === ''
                ? []
                : ['device' => ['direction' => $row['device']] + ($lanesHeld[$lane]['device'] ?? [])];
            $sockets[$id]['lanes'][] = [
                ...array_diff_key($lanesHeld[$lane] ?? [], ['device' => 0]),
                'id' => $lane,
                'way' => $row['way'] ?? '',
                'point' => self::pointNamed($ids, $row['point'] ?? ''),
                ...$device,
            ];
        }

        // A socket that carries no signal of its own (a computer's port for devices) has no row: it stays where it was.
        $silent = array_filter($held, fn (array $socket) => (array) ($socket['lanes'] ?? []) === []);
        $inOrder = array_filter(array_map(fn (string|int $id) => $sockets[$id] ?? $silent[$id] ?? null, array_keys($held)));

        return [...$inOrder, ...array_values(array_diff_key($sockets, $held))];
    }

    /**
     * @param  array<string, string>  $ids  of points, by label
     * @return list<array<string, mixed>>
     */
    private function routes(array $ids): array
    {
        $held = [];
        foreach ((array) ($this->base['routes'] ?? []) as $route) {
            $held["{$route['from']}>{$route['to']}"] = $route;
        }
        $routes = [];
        foreach ($this->routes as $row) {
            [$from, $to] = [self::pointNamed($ids, $row['from'] ?? ''), self::pointNamed($ids, $row['to'] ?? '')];
            $was = $held["{$from}>{$to}"] ?? [];
            $can = array_values(array_unique([
                ...(($row['can_on'] ?? '') === '' ? [] : ['on']),
                ...(($row['can_db'] ?? '') === '' ? [] : ['db']),
                ...array_diff((array) ($was['can'] ?? []), ['on', 'db']),
            ]));
            $routes[] = [...$was, 'from' => $from, 'to' => $to, 'on' => ($row['on'] ?? '') !== '', 'can' => $can];
        }

        return $routes;
    }

    /**
     * The id of a point by its label; of one that no row has, the id that it would have, so that its absence is told.
     *
     * @param  array<string, string>  $ids  by label
     */
    private static function pointNamed(array $ids, string $label): string
    {
        return $ids[$label] ?? ($label === '' ? '' : Naming::id($label, []));
    }

    /** @return array<string, array<string, mixed>> */
    private function byId(string $list): array
    {
        return array_column((array) ($this->base[$list] ?? []), null, 'id');
    }
}
