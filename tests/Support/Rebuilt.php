<?php

declare(strict_types=1);

namespace Tests\Support;

use HiddenWire\Core\Devices\Device;
use HiddenWire\Core\Devices\DeviceLists;
use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Rig\Naming;
use HiddenWire\Core\Rig\Rig;
use HiddenWire\Core\Rig\Wiring;

/**
 * A rig built again by somebody who holds only its cable schedule (CSV) and its book (Markdown), and the catalogue: everything by the names
 * that stand there. It shares no code with what writes the two.
 */
final class Rebuilt
{
    /** @var array<string, mixed> */
    private array $data;

    /** @var array<string, string> unit ids by name */
    private array $units = [];

    /** @var array<string, string> computers by place */
    private array $hosts = [];

    /** @var array<string, array<string, mixed>> models by id */
    private array $models = [];

    /** @var array<string, list<list<list<string>>>> tables by chapter and heading, rows without their heads */
    private array $book;

    public static function from(string $csv, string $markdown): Rig
    {
        $self = new self;
        $self->book = self::read($markdown);
        preg_match('/^# (.+)$/m', $markdown, $name);
        $self->data = ['format' => 'hidden-wire/rig', 'version' => 3, 'name' => self::plain($name[1]), 'places' => [], 'models' => [],
            'units' => [], 'cables' => [], 'devices' => [], 'picks' => [], 'air' => [], 'sources' => [], 'listeners' => [], 'wishes' => [],
            'situations' => [['id' => 'base', 'name' => 'Base', 'changes' => []]]];
        $self->units();
        $self->settings();
        $self->cables($csv);
        $self->ends();
        $self->devices();

        return $self->rig();
    }

    private function rig(): Rig
    {
        return (new DocumentReader)->read((string) json_encode($this->data));
    }

    private function units(): void
    {
        $catalogue = [];
        foreach (glob(dirname(__DIR__, 2).'/resources/catalogue/*.json') ?: [] as $file) {
            $model = (array) json_decode((string) file_get_contents($file), true);
            $catalogue[$model['name']] = [basename($file, '.json'), $model];
        }
        foreach ($this->book['Places and units'] as $heading => $tables) {
            preg_match('/^(.+) \(([a-z]+)\)$/', $heading, $place);
            $id = Naming::id($place[1], array_column($this->data['places'], 'id'));
            $this->data['places'][] = ['id' => $id, 'kind' => $place[2], 'name' => $place[1]];
            foreach ($tables[0] as [$name, $model]) {
                [$called, $size] = [...explode(': ', $model, 2), ''];
                [$key, $made] = $catalogue[$called];
                if ($size !== '') {
                    $made = Draft::sized($key, self::counts($made['grows'], explode(', ', $size)));
                    $key .= '-'.dechex(crc32($size));
                }
                $this->models[$key] = $this->data['models'][$key] = $made;
                $unit = Naming::id($name, array_values($this->units));
                $this->units[$name] = $unit;
                $this->data['units'][] = ['id' => $unit, 'model' => $key, 'place' => $id, 'name' => $name];
            }
        }
    }

    private function settings(): void
    {
        foreach ($this->book['Names'][''][0] ?? [] as [$unit, $print, $name]) {
            foreach ($this->data['units'] as $i => $one) {
                if ($one['id'] === $this->units[$unit]) {
                    $this->data['units'][$i]['names'][$this->point($unit, $print)] = $name;
                }
            }
        }
        foreach ($this->book['Mixes and settings'] ?? [] as $unit => $tables) {
            foreach ($tables as $rows) {
                $this->table($unit, $rows);
            }
        }
    }

    /**
     * One table of a unit's mixes, points or other settings.
     *
     * @param  list<list<string>>  $rows  the first with its heads
     */
    private function table(string $unit, array $rows): void
    {
        $heads = array_shift($rows) ?? [];
        foreach ($rows as $row) {
            $cells = array_combine($heads, $row);
            match ($heads[0]) {
                'Mix' => $this->mix($unit, $cells['Mix'], $cells['Takes'], $cells['Leaves out']),
                'At' => $this->dials($unit, $cells),
                default => $this->other($unit, $cells['What'], $cells['Set to']),
            };
        }
    }

    private function mix(string $unit, string $output, string $takes, string $leaves): void
    {
        $to = $this->point($unit, $output);
        $routes = [];
        foreach ($this->models[$this->unit($unit)['model']]['routes'] as $route) {
            $routes["{$route['from']}>{$route['to']}"] = $route['can'] ?? [];
        }
        $taps = ['from the input' => 'input', 'before the mute' => 'before-mute'];
        foreach ($takes === 'nothing' ? [] : explode('; ', $takes) as $taken) {
            if (preg_match('/^as (.+?)(, its fader too)?$/', $taken, $follows) === 1) {
                $this->follow($unit, $to, ['of' => $this->point($unit, $follows[1])] + (isset($follows[2]) ? ['with_fader' => true] : []));

                continue;
            }
            preg_match('/^(.+?)(?: ([−-]?[\d.]+) dB)?(?:, (from the input|before the mute|pre-fader|post-fader))?$/u', $taken, $found);
            $key = $this->point($unit, $found[1]).">{$to}";
            $set = ['on' => true, 'db' => self::number($found[2] ?? '')]
                + (isset($found[3]) ? ['tap' => $taps[$found[3]] ?? $found[3]] : []);
            $set = array_intersect_key($set, array_flip($routes[$key]));
            $set === [] || $this->set($unit, 'routes', $key, $set);
        }
        foreach ($leaves === '' ? [] : explode('; ', $leaves) as $left) {
            $key = $this->point($unit, $left).">{$to}";
            in_array('on', $routes[$key], true) && $this->set($unit, 'routes', $key, ['on' => false]);
        }
    }

    /** @param  array<string, string>  $cells */
    private function dials(string $unit, array $cells): void
    {
        $point = $this->point($unit, $cells['At']);
        foreach (['Gain' => 'gain', 'Fader' => 'fader', 'Delay' => 'delay_ms'] as $head => $key) {
            if (preg_match('/([−-]?[\d.]+) (?:dB|ms)/u', $cells[$head] ?? '', $found) === 1) {
                $this->set($unit, 'points', $point, [$key => self::number($found[1])]);
            }
        }
        $words = ['muted' => ['mute' => true], 'unmuted' => ['mute' => false], 'mono' => ['mono' => true], 'stereo' => ['mono' => false],
            'polarity inverted' => ['inverted' => true], 'polarity normal' => ['inverted' => false], 'soloed' => ['solo' => true],
            'not soloed' => ['solo' => false], 'automatic mute on' => ['auto_mute' => true], 'automatic mute off' => ['auto_mute' => false]];
        foreach (array_filter(explode(', ', $cells['Switches'] ?? '')) as $switch) {
            $this->set($unit, 'points', $point, $words[$switch]);
        }
    }

    private function other(string $unit, string $what, string $to): void
    {
        $settings = array_column($this->models[$this->unit($unit)['model']]['settings'] ?? [], null, 'label');
        if (isset($settings[$what]) && $to !== 'not said') {
            $this->set($unit, 'values', $settings[$what]['id'], match ($settings[$what]['kind']) {
                'switch' => $to === 'on', 'number' => self::number($to), default => $to === 'empty' ? '' : $to,
            });
        }
    }

    /** @param  array<string, mixed>  $follows */
    private function follow(string $unit, string $output, array $follows): void
    {
        foreach ($this->data['units'] as $i => $one) {
            if ($one['id'] === $this->units[$unit]) {
                $this->data['units'][$i]['follows'][$output] = $follows;
            }
        }
    }

    private static function number(string $words): float
    {
        return (float) preg_replace(['/−/u', '/[^\d.-].*$/'], ['-', ''], $words);
    }

    private function cables(string $csv): void
    {
        $lines = array_filter(explode("\r\n", $csv));
        array_shift($lines);
        foreach ($lines as $number => $line) {
            [$label, , $from, $fromSocket, , , $to, $toSocket, , $type] = str_getcsv($line, ',', '"', '');
            $types = ['stereo RCA' => 'rca-pair', 'loudspeaker' => 'speaker'];
            $this->data['cables'][] = ['id' => 'c-'.($number + 1), 'label' => $label, 'type' => $types[$type] ?? strtolower($type),
                'from' => $this->socket($from, $fromSocket), 'to' => $this->socket($to, $toSocket)];
        }
    }

    private function ends(): void
    {
        $tables = $this->book['Sounds and listeners'];
        foreach ($tables[''][0] as [$name, $kind, $at, $level]) {
            $id = Naming::id($name, array_column($this->data['sources'], 'id'));
            $known = array_search($name, array_column($this->data['sources'], 'name'), true);
            $origin = ['at' => $this->ref($at), 'db' => (float) str_replace(['−', ' dB'], ['-', ''], $level)];
            if ($known === false) {
                $this->data['sources'][] = ['id' => $id, 'name' => $name, 'kind' => $kind, 'origins' => [$origin]];
            } else {
                $this->data['sources'][$known]['origins'][] = $origin;
            }
        }
        foreach ($tables[''][1] as [$name, $kind, $at]) {
            $this->data['listeners'][] = ['id' => Naming::id($name, array_column($this->data['listeners'], 'id')), 'name' => $name, 'kind' => $kind,
                'at' => array_map($this->ref(...), explode('; ', $at))];
        }
        foreach ($tables['Through the air'][0] ?? [] as [$from, $to, $level]) {
            $this->data['air'][] = ['from' => $this->ref($from), 'to' => $this->ref($to),
                'db' => (float) str_replace(['−', ' dB'], ['-', ''], $level)];
        }
    }

    private function devices(): void
    {
        $lists = new DeviceLists($this->rig(), new Wiring($this->rig()));
        $find = fn (string $computer, callable $is): Device => array_values(array_filter($lists->of($computer), $is))[0];
        $given = [];
        $picks = [];
        foreach ($this->book['Computers'] ?? [] as $heading => $tables) {
            foreach ($tables as $rows) {
                $heads = array_shift($rows);
                if ($heads[0] === 'Program') {
                    array_push($picks, ...$rows);
                }
                if ($heads[0] !== 'Device') {
                    continue;
                }
                $name = array_values(array_filter(array_keys($this->units), fn ($one) => $heading === $one
                    || str_starts_with($heading, "{$one}, ")))[0];
                $computer = $this->hosts[$this->unit($name)['place']] = $this->units[$name];
                foreach ($rows as [$system, $name, $way, $roles, $by, , $state]) {
                    $device = $find($computer, fn (Device $one) => $one->systemName === $system && $one->ref->unit === $this->units[$by]
                        && str_starts_with($way, $one->direction->value));
                    $given["{$computer} {$device->direction->value} ".($name === '' ? $system : $name)] = $device;
                    $this->data['devices'][] = array_filter(['computer' => $computer, 'device' => (string) $device->ref, 'name' => $name,
                        'roles' => array_map(fn (string $role) => $role === 'calls' ? 'call' : $role, array_values(array_filter(explode(', ', $roles))))])
                        + ['enabled' => $state !== 'disabled'];
                }
            }
        }
        foreach ($picks as [$program, $point, $device, $channels]) {
            $unit = $this->unit($program);
            $computer = $this->hosts[$unit['place']] ?? '';
            $at = "{$unit['id']}/{$this->point($program, $point)}";
            $picks = array_column($this->models[$unit['model']]['points'], 'picks', 'id')[$this->point($program, $point)];
            $default = ['the system default' => 'system', 'the default for calls' => 'call'][$device] ?? null;
            if ($default !== null) {
                $pick = ['at' => $at, 'default' => $default];
            } else {
                $isTap = str_starts_with($device, 'loopback of ');
                $way = $isTap ? 'playback' : $picks;
                $pick = ['at' => $at, 'device' => (string) $given["{$computer} {$way} ".preg_replace('/^loopback of /', '', $device)]->ref]
                    + ($isTap ? ['tap' => 'playback'] : []);
            }
            $this->data['picks'][] = $pick + ($channels === 'all' ? [] : ['channels' => array_map(intval(...), explode(', ', $channels))]);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $grows
     * @param  list<string>  $sizes  "2 microphones"
     * @return array<string, int>
     */
    private static function counts(array $grows, array $sizes): array
    {
        $counts = [];
        foreach ($sizes as $size) {
            foreach ($grows as $growth) {
                if (preg_match("/^(\\d+) {$growth['label']}s?$/", $size, $found) === 1) {
                    $counts[$growth['id']] = (int) $found[1];
                }
            }
        }

        return $counts;
    }

    /** @param  array<string, mixed>  $set */
    private function set(string $unit, string $kind, string $key, array|string|bool|float $set): void
    {
        foreach ($this->data['units'] as $i => $one) {
            if ($one['id'] === $this->units[$unit]) {
                $this->data['units'][$i]['settings'][$kind][$key] = is_array($set)
                    ? $set + ($one['settings'][$kind][$key] ?? []) : $set;
            }
        }
    }

    /** @return array<string, mixed> */
    private function unit(string $name): array
    {
        return array_values(array_filter($this->data['units'], fn (array $one) => $one['id'] === $this->units[$name]))[0];
    }

    private function point(string $unit, string $label): string
    {
        $points = $this->models[$this->unit($unit)['model']]['points'];
        // A name of somebody's own has what the unit calls it behind it.
        foreach ($this->book['Names'][''][0] ?? [] as [$named, $print, $name]) {
            $label = $named === $unit && $label === "{$name} ({$print})" ? $print : $label;
        }

        return array_column($points, 'id', 'label')[$label] ?? throw new \RuntimeException("{$unit} has no point called {$label}.");
    }

    private function socket(string $unit, string $label): string
    {
        $sockets = $this->models[$this->unit($unit)['model']]['sockets'];

        return $this->units[$unit].'/'.array_column($sockets, 'id', 'label')[$label];
    }

    /** A point by "Unit · Point", or by the unit's name alone where the point is called like it. */
    private function ref(string $name): string
    {
        [$unit, $label] = [...explode(' · ', $name, 2), $name];

        return $this->units[$unit].'/'.$this->point($unit, str_contains($name, ' · ') ? $label : $unit);
    }

    /** @return array<string, array<string, list<list<list<string>>>>> */
    private static function read(string $markdown): array
    {
        $book = [];
        $chapter = $heading = '';
        $table = null;
        foreach (explode("\n", $markdown) as $line) {
            if (preg_match('/^## (.+)$/', $line, $m) === 1) {
                [$chapter, $heading, $table] = [$m[1], '', null];
            } elseif (preg_match('/^### (.+)$/', $line, $m) === 1) {
                [$heading, $table] = [self::plain($m[1]), null];
            } elseif (str_starts_with($line, '| --- ')) {
                continue;
            } elseif (str_starts_with($line, '| ')) {
                $cells = array_map(fn (string $cell) => self::plain(trim($cell)), preg_split('/(?<!\\\\)\|/', trim($line, '|')) ?: []);
                if ($table === null) {
                    $book[$chapter][$heading][] = in_array($chapter, ['Mixes and settings', 'Computers'], true) ? [$cells] : [];
                    $table = array_key_last($book[$chapter][$heading]);
                } else {
                    $book[$chapter][$heading][$table][] = $cells;
                }
            } else {
                $table = null;
            }
        }

        return $book;
    }

    private static function plain(string $text): string
    {
        return (string) preg_replace('/\\\\([\\\\`*_\[\]<>|#])/', '$1', $text);
    }
}
