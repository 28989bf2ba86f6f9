<?php

declare(strict_types=1);

namespace Tests\Support;

use HiddenWire\Core\Document\Catalogue;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Document\DocumentWriter;
use HiddenWire\Core\Document\Growing;
use HiddenWire\Core\Document\Json;
use HiddenWire\Core\Edit\Grow;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Signal\GraphBuilder;
use HiddenWire\Core\Signal\HeardPair;
use HiddenWire\Core\Signal\Hearing;

/** A rig for a test, put together in a few lines. Models come from the catalogue or are given in place. */
final class Draft
{
    /** @var array<string, mixed> */
    private array $data = [
        'format' => 'hidden-wire/rig', 'version' => 3, 'name' => 'Draft',
        'places' => [['id' => 'desk', 'kind' => 'desk', 'name' => 'Desk']], 'models' => [], 'units' => [], 'cables' => [],
        'devices' => [], 'picks' => [], 'air' => [], 'sources' => [], 'listeners' => [], 'wishes' => [],
        'situations' => [['id' => 'base', 'name' => 'Base', 'changes' => []]],
    ];

    public static function rig(): self
    {
        return new self;
    }

    /** @param  array<string, int>  $points  channels by id, beside the origin `tone` and the ear `ear` */
    public static function inside(array $points, array $routes, int $tone = 1, int $ear = 1): self
    {
        $made = [['id' => 'tone', 'kind' => 'origin', 'channels' => $tone], ['id' => 'ear', 'kind' => 'ear', 'channels' => $ear]];
        foreach ($points as $id => $channels) {
            $made[] = ['id' => $id, 'kind' => 'bus', 'channels' => $channels];
        }

        return self::rig()->unit(
            'u',
            ['points' => $made, 'routes' => array_map(fn (array $route) => array_combine(array_slice(['from', 'to', 'db', 'map', 'delay_ms'], 0, count($route)), $route), $routes)],
        )
            ->source('s', 'u/tone')->listener('l', 'u/ear')->wish('s', 'l', 'must');
    }

    /** A turned polarity: a balanced output on two conductors, of which the second is taken. @return list<array<int, mixed>> */
    public static function turned(string $from, string $to, string $by, float $db = 0): array
    {
        return [[$from, $by, $db, 'split-polarity'], [$by, $to, 0, 'right']];
    }

    public static function from(string $file): self
    {
        $draft = new self;
        $draft->data = (array) json_decode((string) file_get_contents($file), true);

        return $draft;
    }

    public function place(string $id, string $kind = 'computer'): self
    {
        return $this->add('places', ['id' => $id, 'kind' => $kind, 'name' => ucfirst($id)]);
    }

    /**
     * @param  string|array<string, mixed>  $model  a catalogue model's id, or a model
     * @param  array<string, mixed>  $settings
     */
    public function unit(string $id, string|array $model, string $place = 'desk', array $settings = []): self
    {
        $name = is_string($model) ? $model
            : (isset($model['name']) ? 'model-'.strtolower(str_replace(' ', '-', $model['name'])) : "model-of-{$id}");
        $this->data['models'][$name] ??= is_array($model) ? $model + ['name' => $id, 'family' => 'mixer']
            : (array) json_decode((string) file_get_contents(dirname(__DIR__, 2)."/resources/catalogue/{$model}.json"), true);

        return $this->add(
            'units',
            ['id' => $id, 'model' => $name, 'place' => $place, 'name' => ucfirst($id)] + ($settings === [] ? []
            : ['settings' => $settings]),
        );
    }

    /**
     * A model of the catalogue at another size, as {@see unit()} takes it.
     *
     * @param  array<string, int>  $counts  by what it grows by
     * @return array<string, mixed>
     */
    public static function sized(string $model, array $counts): array
    {
        $sized = Catalogue::of([$model => (string) file_get_contents(dirname(__DIR__, 2)."/resources/catalogue/{$model}.json")])->models[$model];
        foreach ($counts as $growth => $count) {
            $sized = Growing::to($sized, $sized->grows[$growth], $count);
        }

        return (array) json_decode((string) json_encode((new DocumentWriter)->model($sized)), true);
    }

    /** With so many of what a unit grows by. */
    public function grown(string $unit, string $growth, int $count): self
    {
        $draft = new self;
        $draft->data = (array) json_decode((new DocumentWriter)->write((new Grow($unit, $growth, $count))->applyTo($this->make())), true);

        return $draft;
    }

    /** A unit that only makes a sound of some width at one socket. */
    public function tone(string $id, int $channels = 2, string $connector = 'trs-3.5', bool $balanced = false): self
    {
        return $this->unit($id, ['sockets' => [['id' => 'out', 'label' => 'Out', 'connector' => $connector, 'signal' => 'consumer-line',
            'balanced' => $balanced, 'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'tone']]]],
            'points' => [['id' => 'tone', 'kind' => 'origin', 'channels' => $channels]]])->source($id, "{$id}/tone");
    }

    /** A unit that only listens at one socket. */
    public function ear(string $id, int $channels = 2, string $connector = 'trs-3.5', bool $balanced = false): self
    {
        return $this->unit($id, ['sockets' => [['id' => 'in', 'label' => 'In', 'connector' => $connector, 'signal' => 'consumer-line',
            'balanced' => $balanced, 'lanes' => [['id' => 'in', 'way' => 'in', 'point' => 'ear']]]],
            'points' => [['id' => 'ear', 'kind' => 'ear', 'channels' => $channels]]])->listener($id, "{$id}/ear");
    }

    public function cable(string $type, string $from, string $to): self
    {
        $number = count($this->data['cables']) + 1;

        return $this->add('cables', ['id' => "w-{$number}", 'label' => "W-{$number}", 'type' => $type, 'from' => $from, 'to' => $to]);
    }

    /** @param  array<string, mixed>  $more */
    public function device(string $computer, string $device, array $more): self
    {
        return $this->add('devices', ['computer' => $computer, 'device' => $device] + $more);
    }

    /** Takes the cable out that is in a socket. */
    public function unplug(string $socket): self
    {
        $this->data['cables'] = array_values(array_filter($this->data['cables'], fn (array $cable) => $cable['from'] !== $socket
            && $cable['to'] !== $socket));

        return $this;
    }

    /** Puts the far end of the cable in a socket somewhere else. */
    public function replug(string $socket, string $elsewhere): self
    {
        return $this->cables($socket, fn (array $cable) => [$cable['from'] === $socket ? 'to' : 'from' => $elsewhere] + $cable);
    }

    /** Makes the cable in a socket one of another type. */
    public function retype(string $socket, string $type): self
    {
        return $this->cables($socket, fn (array $cable) => ['type' => $type] + $cable);
    }

    /** Sets a device's settings otherwise; null takes one back. @param  array<string, mixed>  $settings */
    public function settings(string $device, array $settings): self
    {
        $this->data['devices'] = array_map(fn (array $one) => $one['device'] === $device
            ? array_filter($settings + $one, fn (mixed $value) => $value !== null) : $one, $this->data['devices']);

        return $this;
    }

    /** Gives a device's settings other roles. @param  list<string>  $roles */
    public function roles(string $device, array $roles): self
    {
        $this->data['devices'] = array_map(
            fn (array $one) => $one['device'] === $device ? ['roles' => $roles] + $one : $one,
            $this->data['devices'],
        );

        return $this;
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $change */
    private function cables(string $socket, callable $change): self
    {
        $this->data['cables'] = array_map(fn (array $cable) => $cable['from'] === $socket || $cable['to'] === $socket ? $change($cable)
            : $cable, $this->data['cables']);

        return $this;
    }

    /** @param  array<string, mixed>  $choice */
    public function pick(string $at, array $choice): self
    {
        $this->data['picks'] = array_values(array_filter($this->data['picks'], fn (array $pick) => $pick['at'] !== $at));

        return $this->add('picks', ['at' => $at] + $choice);
    }

    public function air(string $from, string $to, float $db): self
    {
        return $this->add('air', ['from' => $from, 'to' => $to, 'db' => $db]);
    }

    /** @param  string|array{string, float}  ...$origins */
    public function source(string $id, string|array ...$origins): self
    {
        return $this->add(
            'sources',
            ['id' => $id, 'name' => ucfirst($id), 'kind' => 'voice',
                'origins' => array_map(
                    fn ($origin) => is_string($origin) ? ['at' => $origin] : ['at' => $origin[0], 'db' => $origin[1]],
                    $origins,
                )],
        );
    }

    public function listener(string $id, string ...$at): self
    {
        return $this->add('listeners', ['id' => $id, 'name' => ucfirst($id), 'kind' => 'headphones', 'at' => $at]);
    }

    public function track(string $id, string $at): self
    {
        return $this->add('listeners', ['id' => $id, 'name' => ucfirst($id), 'kind' => 'track', 'at' => [$at]]);
    }

    /** @param  list<string>  $situations */
    public function wish(string $source, string $listener, string $want, array $situations = []): self
    {
        return $this->add(
            'wishes',
            ['source' => $source, 'listener' => $listener, 'want' => $want] + ($situations === [] ? [] : ['situations' => $situations]),
        );
    }

    /** @param  array<string, array<string, mixed>>  $changes  what is set, by what it is set at */
    public function situation(string $id, array $changes): self
    {
        return $this->add(
            'situations',
            ['id' => $id, 'name' => ucfirst($id),
                'changes' => array_map(fn ($at, $set) => ['at' => $at, 'set' => $set], array_keys($changes), $changes)],
        );
    }

    /** @param  array<string, mixed>  $settings */
    public function set(string $unit, string $kind, string $key, array $settings): self
    {
        foreach ($this->data['units'] as $i => $one) {
            if ($one['id'] === $unit) {
                $this->data['units'][$i]['settings'][$kind][$key] = $settings + ($one['settings'][$kind][$key] ?? []);
            }
        }

        return $this;
    }

    /** Sets a named setting of a unit. */
    public function value(string $unit, string $setting, string|bool|float $value): self
    {
        foreach ($this->data['units'] as $i => $one) {
            if ($one['id'] === $unit) {
                $this->data['units'][$i]['settings']['values'][$setting] = $value;
            }
        }

        return $this;
    }

    /** Applies a function to the document's data. @param  callable(array<string, mixed>): array<string, mixed>  $change */
    public function with(callable $change): self
    {
        $this->data = $change($this->data);

        return $this;
    }

    /** @param  array<string, mixed>  $item */
    public function add(string $collection, array $item): self
    {
        $this->data[$collection][] = $item;

        return $this;
    }

    public function text(): string
    {
        // A point may be called "0": maps are written as maps.
        $units = array_map(
            fn (array $unit) => (isset($unit['settings'])
            ? ['settings' => (object) array_map(fn (mixed $map) => (object) $map, (array) $unit['settings'])] : []) + $unit,
            $this->data['units'],
        );

        return (string) json_encode(
            ['models' => (object) $this->data['models'], 'units' => $units] + $this->data,
            JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    public function make(): Rig
    {
        return (new DocumentReader)->readData(Json::decode($this->text()));
    }

    public function hear(?string $situation = null): Hearing
    {
        $rig = $this->make();

        return new Hearing((new GraphBuilder($rig))
            ->build($rig->situation($situation) ?? throw new \InvalidArgumentException("No situation {$situation}")));
    }

    public function pair(string $source, string $listener, ?string $situation = null): HeardPair
    {
        return $this->hear($situation)->pair($source, $listener);
    }
}
