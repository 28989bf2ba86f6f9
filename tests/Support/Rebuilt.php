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
 * A rig built again by somebody who holds only its book (Markdown, with the appendix of models) and the catalogue: everything by the names
 * that are there. It shares no code with what writes the book. Of computers it asks which devices their systems list, as one looks at a
 * real one.
 */
final class Rebuilt
{
    private const CABLES = ['stereo RCA' => 'rca-pair', 'loudspeaker' => 'speaker'];

    private const SYSTEMS = ['loopback of any device, a default for calls' => 'looping', 'no loopback, one default for all' => 'plain',
        'telephone or tablet: no loopback' => 'mobile'];

    private const TAPS = ['from the input' => 'input', 'before the mute' => 'before-mute', 'pre-fader' => 'pre-fader',
        'post-fader' => 'post-fader'];

    private const SWITCHES = ['muted' => ['mute' => true], 'unmuted' => ['mute' => false], 'mono' => ['mono' => true],
        'stereo' => ['mono' => false], 'polarity inverted' => ['inverted' => true], 'polarity normal' => ['inverted' => false],
        'soloed' => ['solo' => true], 'not soloed' => ['solo' => false], 'automatic mute on' => ['auto_mute' => true],
        'automatic mute off' => ['auto_mute' => false]];

    /** @var array<string, mixed> */
    private array $data;

    /** @var array<string, string> unit ids by name */
    private array $units = [];

    /** @var array<string, string> ids of computers by place */
    private array $hosts = [];

    /** @var array<string, array<string, mixed>> models by id */
    private array $models = [];

    /** @var array<string, Device> by computer, direction and name */
    private array $given = [];

    private function __construct(private readonly BookText $book)
    {
    }

    public static function from(string $markdown): Rig
    {
        $self = new self(BookText::read($markdown));
        $self->data = ['format' => 'hidden-wire/rig', 'version' => 3, 'name' => $self->book->title, 'places' => [], 'models' => [],
            'units' => [], 'cables' => [], 'devices' => [], 'picks' => [], 'air' => [], 'sources' => [], 'listeners' => [], 'wishes' => [],
            'situations' => [], 'measures' => []];
        $self->units();
        $self->settings();
        $self->scenes();
        $self->cables();
        $self->ends();
        $self->situationNames();
        $self->wishes();
        $self->devices();
        $self->effects();
        $self->measures();
        $self->situations();

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
        $own = OwnModels::of($this->book);
        foreach ($this->book->rows('Places and units', 'Unit') as $row) {
            preg_match('/^(.+) \(([a-z]+)\)$/', $row[''], $place);
            $id = array_search($place[1], array_column($this->data['places'], 'name', 'id'), true);
            if ($id === false) {
                $id = Naming::id($place[1], array_column($this->data['places'], 'id'));
                $this->data['places'][] = ['id' => $id, 'kind' => $place[2], 'name' => $place[1]];
            }
            [$called, $size] = [...explode(': ', $row['Model'], 2), ''];
            [$key, $made] = isset($own[$called]) ? [Naming::id("own {$called}", []), $own[$called]] : $catalogue[$called];
            if ($size !== '' && ! isset($own[$called])) {
                $made = Draft::sized($key, self::counts($made['grows'], explode(', ', $size)));
                $key .= '-'.dechex(crc32($size));
            }
            $this->models[$key] = $this->data['models'][$key] = $made;
            $unit = Naming::id($row['Unit'], array_values($this->units));
            $this->units[$row['Unit']] = $unit;
            $this->data['units'][] = ['id' => $unit, 'model' => $key, 'place' => $id, 'name' => $row['Unit']];
        }
    }

    private function settings(): void
    {
        foreach ($this->book->rows('Names', 'Unit') as $row) {
            [, $unit, $print, $name] = array_values($row);
            $this->change($unit, fn (array $one) => ['names' => [$this->point($unit, $print) => $name] + ($one['names'] ?? [])] + $one);
        }
        foreach ($this->book->rows('Mixes and settings', 'Mix') as $row) {
            $this->mix($row[''], $row['Mix'], $row['Takes'], $row['Leaves out']);
        }
        foreach ($this->book->rows('Mixes and settings', 'At') as $row) {
            $this->dials($row[''], $row);
        }
        foreach ($this->book->rows('Mixes and settings', 'What') as $row) {
            $this->named($row[''], $row['What'], $row['Set to']);
        }
        foreach ($this->book->headings('Mixes and settings') as $unit) {
            foreach ($this->book->lines('Mixes and settings', $unit) as $line) {
                if (preg_match('/^Levels that move together: (.+)\.$/', $line, $found) === 1) {
                    $keys = array_map(fn (string $route) => $this->route($unit, $route), preg_split('/, | and /', $found[1]) ?: []);
                    $this->change($unit, fn (array $one) => ['linked' => [...$one['linked'] ?? [], $keys]] + $one);
                }
            }
        }
    }

    private function mix(string $unit, string $output, string $takes, string $leaves): void
    {
        $to = $this->point($unit, $output);
        $can = [];
        foreach ($this->models[$this->unit($unit)['model']]['routes'] as $route) {
            $can["{$route['from']}>{$route['to']}"] = $route['can'] ?? [];
        }
        foreach ($takes === 'nothing' ? [] : explode('; ', $takes) as $taken) {
            if (preg_match('/^as (.+?)(, its fader too)?$/', $taken, $follows) === 1) {
                // What is beside "as Main" is its own.
                preg_match_all('/(?:^|; )(?!as )(.+?)(?: [−-]?[\d.]+ dB)?(?:, [a-z -]+)?(?=;|$)/u', implode('; ', array_filter([$takes, $leaves])), $own);
                $follows = ['of' => $this->point($unit, $follows[1])] + (isset($follows[2]) ? ['with_fader' => true] : [])
                    + ($own[1] === [] ? [] : ['except' => array_map(fn (string $label) => $this->point($unit, $label), $own[1])]);
                $this->change($unit, fn (array $one) => ['follows' => [$to => $follows] + ($one['follows'] ?? [])] + $one);

                continue;
            }
            preg_match('/^(.+?)(?: ([−-]?[\d.]+) dB)?(?:, (from the input|before the mute|pre-fader|post-fader))?$/u', $taken, $found);
            $key = $this->point($unit, $found[1]).">{$to}";
            $set = ['on' => true, 'db' => self::number($found[2] ?? '')] + (isset($found[3]) ? ['tap' => self::TAPS[$found[3]]] : []);
            $this->set($unit, 'routes', $key, array_intersect_key($set, array_flip($can[$key])));
        }
        foreach ($leaves === '' ? [] : explode('; ', $leaves) as $left) {
            $key = $this->point($unit, $left).">{$to}";
            $this->set($unit, 'routes', $key, in_array('on', $can[$key], true) ? ['on' => false] : []);
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
        foreach (array_filter(explode(', ', $cells['Switches'] ?? '')) as $switch) {
            $this->set($unit, 'points', $point, self::SWITCHES[$switch]);
        }
    }

    private function named(string $unit, string $what, string $to): void
    {
        $settings = array_column($this->models[$this->unit($unit)['model']]['settings'] ?? [], null, 'label');
        if (isset($settings[$what]) && $to !== 'not said') {
            $this->set($unit, 'values', $settings[$what]['id'], self::value($settings[$what], $to));
        }
    }

    /** @param  array<string, mixed>  $setting */
    private static function value(array $setting, string $words): string|bool|float
    {
        return match ($setting['kind']) {
            'switch' => $words === 'on', 'number' => self::number($words), default => $words === 'empty' ? '' : $words,
        };
    }

    private function scenes(): void
    {
        foreach ($this->book->rows('Scenes and pictures', 'Picture') as $row) {
            $this->change($row[''], function (array $one) use ($row) {
                $picture = array_filter(['id' => Naming::id($row['Picture'], array_column($one['pictures'] ?? [], 'id')),
                    'name' => $row['Picture'], 'delay_ms' => $row['Late by'] === '' ? null : self::number($row['Late by']),
                    'sound' => $row['Sound'] === 'none' ? null : $this->point($row[''], $row['Sound'])], fn ($value) => $value !== null);

                return ['pictures' => [...$one['pictures'] ?? [], $picture
                    + ($row['In scenes'] === 'its sound goes with it' ? ['tied' => true] : [])]] + $one;
            });
        }
        foreach ($this->book->rows('Scenes and pictures', 'Scene') as $row) {
            $this->change($row[''], fn (array $one) => ['scenes' => [...$one['scenes'] ?? [], [
                'id' => Naming::id($row['Scene'], array_column($one['scenes'] ?? [], 'id')), 'name' => $row['Scene'],
                'sources' => array_map(fn (string $label) => $this->point($row[''], $label), self::parts('; ', $row['Sounds'])),
                'pictures' => array_map(
                    fn (string $name) => array_column($one['pictures'], 'id', 'name')[$name],
                    self::parts('; ', $row['Pictures']),
                ),
            ]]] + $one);
        }
        foreach ($this->book->headings('Scenes and pictures') as $unit) {
            foreach ($this->book->lines('Scenes and pictures', $unit) as $line) {
                if (preg_match('/^In every scene: (.+)\.$/', $line, $found) === 1) {
                    $points = array_map(fn (string $label) => $this->point($unit, $label), preg_split('/, | and /', $found[1]) ?: []);
                    $this->change($unit, fn (array $one) => ['always' => $points] + $one);
                }
            }
        }
    }

    /** Each lead by the ends that the cabling card has of it; those that nobody plugs by hand by the schedule. */
    private function cables(): void
    {
        $ends = $types = [];
        foreach ($this->book->rows('Cabling card', 'Done') as $row) {
            $here = $row['Goes in'] === 'its own lead' ? null : $this->socket($row['Unit'], $row['Goes in']);
            foreach (array_filter([$here, $this->end($row['Other end'])]) as $end) {
                $ends[$row['Label']][$end] = true;
            }
            $types[$row['Label']] = $row['Cable'];
        }
        foreach ($this->book->rows('Cable schedule', 'Label') as $row) {
            if (! isset($ends[$row['Label']]) && ! str_contains($row['Label'], ', ')) {
                foreach ([$row['From'], $row['To']] as $end) {
                    $ends[$row['Label']][$this->end((string) preg_replace(['/^.+?: /', '/ \([^()]+\)$/'], '', $end))] = true;
                }
                $types[$row['Label']] = (string) preg_replace('/, [^,]*[^m\d.][^,]*$/', '', str_replace(', to buy', '', $row['Cable']));
            }
        }
        foreach ($ends as $label => $both) {
            $type = explode(', ', $types[$label])[0];
            $this->data['cables'][] = ['id' => Naming::id((string) $label, array_column($this->data['cables'], 'id')),
                'label' => (string) $label, 'type' => self::CABLES[$type] ?? strtolower($type),
                'from' => (string) array_key_first($both), 'to' => (string) array_key_last($both)]
                + (preg_match('/, ([\d.]+) m$/', $types[$label], $length) === 1 ? ['length_m' => (float) $length[1]] : []);
        }
    }

    /** A socket by "Unit · Socket" or "Unit · Socket at Place". */
    private function end(string $words): string
    {
        foreach ($this->units as $name => $unit) {
            $rest = str_starts_with($words, "{$name} · ") ? substr($words, strlen("{$name} · ")) : ($words === $name ? $name : null);
            foreach ($rest === null ? [] : $this->models[$this->unit((string) $name)['model']]['sockets'] as $socket) {
                $place = array_column($this->data['places'], 'name', 'id')[$this->unit((string) $name)['place']];
                if ($rest === $socket['label'] || $rest === "{$socket['label']} at {$place}") {
                    return "{$unit}/{$socket['id']}";
                }
            }
        }
        throw new \RuntimeException("No socket is called {$words}.");
    }

    private function ends(): void
    {
        foreach ($this->book->rows('Sounds and listeners', 'Sound') as $row) {
            $known = array_search($row['Sound'], array_column($this->data['sources'], 'name'), true);
            if ($known === false) {
                $known = count($this->data['sources']);
                $this->data['sources'][] = ['id' => Naming::id($row['Sound'], array_column($this->data['sources'], 'id')),
                    'name' => $row['Sound'], 'kind' => $row['Kind'], 'origins' => []];
            }
            if (preg_match('/([\d.]+) dB (over|under) nominal(, measured)?/', $row['Notes'], $found) === 1) {
                $this->data['sources'][$known]['loudness_db'] = (float) $found[1] * ($found[2] === 'over' ? 1 : -1);
                $this->data['sources'][$known]['measured'] = isset($found[3]);
            }
            if ($row['Begins at'] !== '') {
                $away = preg_match('/([\d.]+) m away/', $row['Notes'], $found) === 1 ? ['distance_m' => (float) $found[1]] : [];
                $later = preg_match('/later by ([\d.]+) ms/', $row['Notes'], $found) === 1 ? ['delay_ms' => (float) $found[1]] : [];
                $this->data['sources'][$known]['origins'][] = ['at' => $this->ref($row['Begins at']), 'db' => self::number($row['Level'])]
                    + $away + $later;
            }
        }
        foreach ($this->book->rows('Sounds and listeners', 'Listener') as $row) {
            $this->data['listeners'][] = ['id' => Naming::id($row['Listener'], array_column($this->data['listeners'], 'id')),
                'name' => $row['Listener'], 'kind' => $row['Kind'],
                'at' => array_map($this->ref(...), self::parts('; ', $row['Listens at']))];
        }
        foreach ($this->book->rows('Sounds and listeners', 'From', 'Through the air') as $row) {
            $this->data['air'][] = ['from' => $this->ref($row['From']), 'to' => $this->ref($row['To']), 'db' => self::number($row['Level'])]
                + ($row['Delay'] === '' ? [] : ['delay_ms' => self::number($row['Delay'])]);
        }
    }

    /** Situations by the order in which the book counts them; what they change follows last. */
    private function situationNames(): void
    {
        foreach ($this->book->rows('About this rig', 'Situation') as $row) {
            $this->data['situations'][] = ['id' => Naming::id($row['Situation'], array_column($this->data['situations'], 'id')),
                'name' => $row['Situation'], 'changes' => []];
        }
    }

    private function wishes(): void
    {
        $sources = array_column($this->data['sources'], 'id', 'name');
        $listeners = array_column($this->data['listeners'], 'id', 'name');
        foreach ($this->data['situations'] as $situation) {
            $rows = $this->book->rows('Who hears what', 'Sound', $situation['name']);
            foreach ($this->book->lines('Who hears what', $situation['name']) as $line) {
                $like = preg_match('/^As in .+?: (.+)\.$/', $line, $found) === 1 ? explode('; ', $found[1]) : [];
                array_push($rows, ...array_filter(
                    $this->book->rows('Who hears what', 'Sound', $this->data['situations'][0]['name']),
                    fn (array $row) => in_array($row['Sound'], $like, true),
                ));
            }
            foreach ($rows as $row) {
                foreach (array_slice($row, 2) as $listener => $cell) {
                    if (preg_match('/(must hear|may hear|must not)(.*)$/', $cell, $found) === 1) {
                        $this->data['wishes'][] = ['source' => $sources[$row['Sound']], 'listener' => $listeners[$listener],
                            'want' => ['must hear' => 'must', 'may hear' => 'may', 'must not' => 'must-not'][$found[1]],
                            'situations' => [$situation['id']]] + self::marks($found[2]);
                    }
                }
            }
        }
    }

    /** @return array<string, mixed> what else a wish asks for */
    private static function marks(string $words): array
    {
        return (str_contains($words, 'alone') ? ['alone' => true] : []) + (str_contains($words, 'dry') ? ['treatment' => 'dry'] : [])
            + (str_contains($words, 'processed') ? ['treatment' => 'processed'] : [])
            + (preg_match('/(left|right) only/', $words, $side) === 1 ? ['side' => $side[1]] : [])
            + (str_contains($words, 'in stereo') ? ['stereo' => true] : [])
            + (preg_match('/up to ([−-]?[\d.]+) dB/u', $words, $found) === 1 ? ['up_to_db' => self::number($found[1])] : []);
    }

    private function devices(): void
    {
        // Leads whose order counts have to be known first, and what systems can do.
        foreach ($this->book->headings('Computers') as $heading) {
            foreach ($this->book->lines('Computers', $heading) as $line) {
                if (preg_match('/^Install (.+) ([\d.]+), and nothing newer(?: \((.+)\))?$/', $line, $found) === 1) {
                    $system = ['name' => $found[1], 'version' => $found[2]] + (isset($found[3]) ? ['kind' => self::SYSTEMS[$found[3]]] : []);
                    $this->change((string) preg_replace('/: system$/', '', $heading), fn (array $one) => ['system' => $system] + $one);
                }
                if (preg_match('/^It takes what was plugged in last\. Plug in (.+)\.$/', $line, $found) === 1) {
                    $this->data['situations'][0]['plugged'] = $this->labels(explode(', then ', $found[1]));
                }
            }
        }
        $lists = new DeviceLists($this->rig(), new Wiring($this->rig()));
        foreach ($this->book->rows('Computers', 'Device') as $row) {
            $name = array_values(array_filter(
                array_keys($this->units),
                fn (string|int $one) => $row[''] === (string) $one || str_starts_with($row[''], "{$one}, "),
            ))[0];
            $computer = $this->hosts[$this->unit((string) $name)['place']] = $this->units[$name];
            $this->device($computer, $row, $lists->of($computer));
        }
        // What one plays to another is known once all have names.
        foreach ($this->data['devices'] as $i => $device) {
            if (isset($device['plays_to'])) {
                $this->data['devices'][$i]['plays_to'] = $this->deviceIn($device['computer'], 'playback', $device['plays_to']);
            }
        }
        foreach ($this->book->rows('Computers', 'Program') as $row) {
            $at = "{$this->units[$row['Program']]}/{$this->point($row['Program'], $row['In or out'])}";
            $this->data['picks'][] = ['at' => $at] + $this->pick($row['Program'], $row['In or out'], $row['Device'])
                + ($row['Channels'] === 'all' ? [] : ['channels' => array_map(intval(...), explode(', ', $row['Channels']))])
                + self::level($row['Level in the system']);
        }
    }

    /**
     * @param  array<string, string>  $row
     * @param  array<string, Device>  $listed
     */
    private function device(string $computer, array $row, array $listed): void
    {
        $direction = explode(', ', $row['Way'])[0];
        $known = array_column($this->data['devices'], 'device');
        $fitting = array_values(array_filter($listed, fn (Device $one) => $one->systemName === $row['Device']
            && $one->ref->unit === $this->units[$row['Given by']] && $one->direction->value === $direction
            && ! in_array((string) $one->ref, $known, true)));
        if ($fitting === []) {
            return;
        }
        $name = $row['Name given to it'];
        $this->given["{$computer} {$direction} ".($name === '' ? $row['Device'] : $name)] = $fitting[0];
        $takesLast = isset($this->models[array_column($this->data['units'], 'model', 'id')[$computer]]['takes']);
        $roles = array_map(fn (string $role) => $role === 'calls' ? 'call' : $role, self::parts(', ', $row['Default for']));
        $this->data['devices'][] = array_filter(['computer' => $computer, 'device' => (string) $fitting[0]->ref, 'name' => $name,
            'roles' => $takesLast ? [] : $roles]) + self::format($row['Format'])
            + ($row['State'] === 'disabled' ? ['enabled' => false] : [])
            + (['hidden in the list' => ['unlisted' => 'hidden'], 'its socket senses no plug' => ['unlisted' => 'no-plug']][$row['State']]
                ?? []);
    }

    /** @return array<string, mixed> what the system does with a device */
    private static function format(string $words): array
    {
        $set = [];
        foreach (self::parts(', ', $words) as $part) {
            $set += match (true) {
                str_ends_with($part, ' Hz') => ['rate_hz' => (int) $part], str_ends_with($part, ' bit') => ['bits' => (int) $part],
                in_array($part, ['shared', 'exclusive', 'direct'], true) => ['driver_mode' => $part],
                str_starts_with($part, 'played to ') => ['plays_to' => substr($part, strlen('played to '))],
                $part === 'muted', $part === 'not muted', str_ends_with($part, ' dB') => self::level($part), default => [],
            };
        }
        // All else is what the system does to the sound.
        $does = preg_grep('/( Hz| bit| dB)$|^(played to |shared$|exclusive$|direct$|muted$|not muted$)/', self::parts(', ', $words), PREG_GREP_INVERT);

        return $set + ($does === [] || $does === false ? []
            : ['processing' => array_map(fn (string $one) => str_replace(' ', '-', $one), array_values($does))]);
    }

    /** @return array<string, mixed> */
    private static function level(string $words): array
    {
        return (preg_match('/([−-]?[\d.]+) dB/u', $words, $found) === 1 ? ['db' => self::number($found[1])] : [])
            + (preg_match('/\bmuted\b/', $words) === 1 ? ['mute' => ! str_contains($words, 'not muted')] : []);
    }

    /** @return array<string, mixed> */
    private function pick(string $program, string $point, string $words): array
    {
        $mode = preg_match('/^(.+), (shared|exclusive|direct)$/', $words, $found) === 1 ? ['mode' => $found[2]] : [];
        $words = $mode === [] ? $words : $found[1];
        $default = ['the system default' => 'system', 'the default for calls' => 'call'][$words] ?? null;
        if ($default !== null || $words === 'the device of the program') {
            return ($default === null ? [] : ['default' => $default]) + $mode;
        }
        $unit = $this->unit($program);
        $way = array_column($this->models[$unit['model']]['points'], 'picks', 'id')[$this->point($program, $point)];
        $isTap = str_starts_with($words, 'loopback of ');
        $devices = explode(' and ', $isTap ? substr($words, strlen('loopback of ')) : $words);
        $direction = $isTap ? 'playback' : $way;
        $refs = array_map(fn (string $name) => $this->deviceIn($this->hosts[$unit['place']] ?? '', $direction, $name), $devices);

        return ['device' => $refs[0]] + (count($refs) > 1 ? ['also' => array_slice($refs, 1)] : []) + ($isTap ? ['tap' => 'playback'] : []) + $mode;
    }

    private function deviceIn(string $computer, string $direction, string $name): string
    {
        $device = $this->given["{$computer} {$direction} {$name}"] ?? null;
        // By the unit and its own socket or point, where the system's name says less.
        foreach ($device === null ? $this->given : [] as $key => $one) {
            $unit = (string) array_search($one->ref->unit, $this->units, true);
            $model = $this->models[$this->unit($unit)['model']];
            $labels = array_column([...$model['sockets'], ...$model['points']], 'label', 'id');
            if (str_starts_with($key, "{$computer} {$direction} ") && $name === "{$unit} · ".($labels[$one->ref->givenBy] ?? '')) {
                $device = $one;
            }
        }

        return (string) ($device->ref ?? throw new \RuntimeException("No {$direction} device of {$computer} is called {$name}."));
    }

    private function effects(): void
    {
        foreach ($this->book->rows('Effects', 'At') as $row) {
            $unit = $row[''];
            $point = $this->point($unit, $row['At']);
            preg_match('/^(?:(.+) \(([^()]+)\)|(.+))$/', $row['Effect'], $found);
            [$name, $kind] = isset($found[3]) ? ['', $found[3]] : [$found[1], $found[2]];
            $off = preg_match('/not into (.+)$/', $row['On'], $into) === 1 ? explode(', ', $into[1]) : [];
            $effect = ['at' => $point, 'kind' => str_replace(' ', '-', strtolower($kind)), 'on' => ! str_starts_with($row['On'], 'bypassed')]
                + ($name === '' ? [] : ['name' => $name])
                + ($off === [] ? [] : ['off_for' => array_map(fn (string $label) => $this->point($unit, $label), $off)])
                + $this->setAt($unit, $row['Set to']);
            $this->change($unit, fn (array $one) => ['effects' => [...$one['effects'] ?? [],
                ['id' => Naming::id($kind, array_column($one['effects'] ?? [], 'id'))] + $effect]] + $one);
        }
    }

    /** @return array<string, mixed> what is set at an effect */
    private function setAt(string $unit, string $words): array
    {
        $set = $values = [];
        foreach (self::parts(', ', $words) as $part) {
            $n = self::number((string) preg_replace('/^[^\d−+-]*\+?/u', '', $part));
            match (true) {
                str_starts_with($part, 'holds it back ') => $set['delay_ms'] = $n,
                str_starts_with($part, 'high-pass ') => $values['high_pass_hz'] = str_contains($part, 'kHz') ? 1000 * $n : $n,
                str_starts_with($part, 'threshold ') => $values['threshold_db'] = $n,
                str_starts_with($part, 'ratio ') => $values['ratio'] = $n,
                str_starts_with($part, 'make-up ') => $values['make_up_db'] = $n,
                str_starts_with($part, 'hold ') => $values['hold_ms'] = $n,
                str_contains($part, ' dB at ') => $values['bands'][] = ['db' => $n, 'hz' => self::hertz(explode(' dB at ', $part)[1])],
                str_contains($part, ' dB lower') => $values = ['lowers_db' => $n, 'by' => str_contains($part, 'sound at ')
                    ? [$this->point($unit, explode('sound at ', $part)[1])] : []] + $values,
                str_ends_with($part, ' dB') => $set['db'] = $n,
                default => $values['by'][] = $this->point($unit, $part),
            };
        }

        return $set + ($values === [] ? [] : ['values' => $values]);
    }

    private static function hertz(string $words): float
    {
        return self::number($words) * (str_ends_with($words, 'kHz') ? 1000 : 1);
    }

    /** Delays and distances, which are heard. */
    private function measures(): void
    {
        foreach ($this->book->rows('Facts and figures', 'Of') as $row) {
            if (preg_match('/^(measured delay|distance to the mouth) ([\d.]+)/', $row['Figure'], $found) !== 1) {
                continue;
            }
            $cable = array_column($this->data['cables'], 'id', 'label')[$row['Of']] ?? null;
            $about = match (true) {
                $cable !== null => "cables/{$cable}",
                $found[1] === 'measured delay' => 'units/'.str_replace('/', '/sockets/', $this->end($row['Of'])),
                default => 'units/'.str_replace('/', '/points/', $this->ref($row['Of'])),
            };
            $this->data['measures'][] = ['about' => $about, 'kind' => $found[1] === 'measured delay' ? 'delay' : 'distance',
                'value' => (float) $found[2]];
        }
    }

    private function situations(): void
    {
        $base = $this->data['situations'][0]['name'];
        foreach ($this->data['situations'] as $i => $situation) {
            $steps = $i === 0 ? $this->book->lines('Situations, step by step', "{$base}, the default")
                : $this->book->lines('Situations, step by step', "From {$base} to {$situation['name']}");
            foreach ($steps as $step) {
                if ($i === 0 && str_starts_with($step, 'plugged in last')) {
                    continue;
                }
                $this->data['situations'][$i] = array_merge_recursive($this->data['situations'][$i], $this->step($step));
            }
        }
    }

    /** @return array<string, mixed> what a step of going to a situation comes to in the document */
    private function step(string $step): array
    {
        if (preg_match('/^(.+) (is not there|does not run|is there|runs)$/', $step, $found) === 1 && isset($this->units[$found[1]])) {
            return str_contains($found[2], 'not') ? ['absent' => [$this->units[$found[1]]]] : [];
        }
        if (preg_match('/^plugged in last: (.+)$/', $step, $found) === 1) {
            return ['plugged' => $this->labels(explode(', then ', $found[1]))];
        }
        if (preg_match('/^(.+) (out|plugged)$/', $step, $found) === 1 && $this->labels([$found[1]]) !== []) {
            return $found[2] === 'out' ? ['pulled' => $this->labels([$found[1]])] : [];
        }
        foreach (array_keys($this->units) as $unit) {
            if (str_starts_with($step, "{$unit}: ")) {
                return $this->inside((string) $unit, substr($step, strlen("{$unit}: ")));
            }
        }

        return [];
    }

    /** @return array<string, mixed> */
    private function inside(string $unit, string $words): array
    {
        $id = $this->units[$unit];
        $model = $this->models[$this->unit($unit)['model']];
        if (preg_match('/^scene (.+)$/', $words, $found) === 1) {
            return ['scenes' => [['unit' => $id, 'scene' => array_column($this->unit($unit)['scenes'], 'id', 'name')[$found[1]]]]];
        }
        foreach ($this->unit($unit)['effects'] ?? [] as $effect) {
            $label = ($effect['name'] ?? '') === '' ? ucfirst(str_replace('-', ' ', $effect['kind'])) : $effect['name'];
            if (preg_match('/^'.preg_quote("{$label} of {$this->label($unit, $effect['at'])}", '/').' (on|bypassed)$/', $words, $found) === 1) {
                return ['effects' => [['unit' => $id, 'effect' => $effect['id'], 'on' => $found[1] === 'on']]];
            }
        }
        if (preg_match('/^(.+ → .+?) (?:(on|off)|at ([−-]?[\d.]+) dB|taken ([a-z-]+))$/u', $words, $found) === 1) {
            return ['changes' => [['at' => "{$id}/{$this->route($unit, $found[1])}", 'set' => match (true) {
                ($found[2] ?? '') !== '' => ['on' => $found[2] === 'on'], ($found[3] ?? '') !== '' => ['db' => self::number($found[3])],
                default => ['tap' => $found[4]],
            }]]];
        }
        if (preg_match('/^(?:the )?default (playback|recording) device( for calls)? is (.+)$/', $words, $found) === 1) {
            return ['defaults' => [['computer' => $id, 'direction' => $found[1], 'role' => $found[2] === '' ? $found[1] : 'call',
                'device' => $this->deviceIn($id, $found[1], $found[3])]]];
        }
        foreach ($model['settings'] ?? [] as $setting) {
            if (str_starts_with($words, "{$setting['label']} ")) {
                return ['settings' => [['unit' => $id, 'setting' => $setting['id'],
                    'value' => self::value($setting, substr($words, strlen("{$setting['label']} ")))]]];
            }
        }

        return $this->atPoint($unit, $words) ?? $this->ofDevice($id, $words);
    }

    /** @return array<string, mixed>|null null where it is about no point */
    private function atPoint(string $unit, string $words): ?array
    {
        $points = array_map(fn (array $point) => $this->label($unit, $point['id']), $this->models[$this->unit($unit)['model']]['points']);
        usort($points, fn (string $a, string $b) => strlen($b) <=> strlen($a));
        foreach ($points as $label) {
            if (! str_starts_with($words, "{$label} ")) {
                continue;
            }
            $rest = substr($words, strlen("{$label} "));
            $at = "{$this->units[$unit]}/{$this->point($unit, $label)}";
            $set = match (true) {
                isset(self::SWITCHES[$rest]) => self::SWITCHES[$rest],
                preg_match('/^(gain|fader) ([−-]?[\d.]+) dB$/u', $rest, $found) === 1 => [$found[1] => self::number($found[2])],
                preg_match('/^delay ([\d.]+) ms$/', $rest, $found) === 1 => ['delay_ms' => self::number($found[1])],
                preg_match('/^uses (.+)$/', $rest, $found) === 1 => $this->used($unit, $label, $found[1]),
                preg_match('/^plays (.+)$/', $rest, $found) === 1 => null,
                default => [],
            };
            if ($set === null) {
                $froms = preg_split('/, | and /', $found[1]) ?: [];

                return ['changes' => array_map(fn (string $from) => [
                    'at' => "{$this->units[$unit]}/{$this->point($unit, $from)}>{$this->point($unit, $label)}", 'set' => ['on' => true],
                ], $froms)];
            }
            if ($set !== []) {
                return ['changes' => [['at' => $at, 'set' => $set]]];
            }
        }

        return null;
    }

    /** @return array<string, mixed> a pick as a step words it: "Desk, channels 3 and 4, in the system −6.0 dB" */
    private function used(string $unit, string $label, string $words): array
    {
        $level = preg_match('/^(.+), in the system (.+)$/', $words, $found) === 1 ? self::level($found[2]) : [];
        $words = $level === [] ? $words : $found[1];
        $channels = preg_match('/^(.+), channels? ([\d and]+)$/', $words, $found) === 1
            ? ['channels' => array_map(intval(...), explode(' and ', $found[2]))] : [];

        return $this->pick($unit, $label, $channels === [] ? $words : $found[1]) + $channels + $level;
    }

    /** @return array<string, mixed> a level of the system's own: "Recordings 3.0 dB, muted" */
    private function ofDevice(string $computer, string $words): array
    {
        foreach ($this->given as $key => $device) {
            $name = preg_replace('/^\S+ \S+ /', '', $key);
            if (str_starts_with($key, "{$computer} ") && preg_match('/^'.preg_quote((string) $name, '/').' ((?:[−-]?[\d.]+ dB)?.*)$/u', $words, $found) === 1) {
                return ['levels' => [['computer' => $computer, 'device' => (string) $device->ref] + self::level($found[1]) + ['mute' => false]]];
            }
        }
        throw new \RuntimeException("No step of {$computer} reads {$words}.");
    }

    /**
     * @param  list<string>  $labels
     * @return list<string> ids of cables
     */
    private function labels(array $labels): array
    {
        $ids = array_column($this->data['cables'], 'id', 'label');

        return array_values(array_filter(array_map(fn (string $label) => $ids[$label] ?? null, $labels)));
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

    /** @param  callable(array<string, mixed>): array<string, mixed>  $change */
    private function change(string $unit, callable $change): void
    {
        foreach ($this->data['units'] as $i => $one) {
            if ($one['id'] === $this->units[$unit]) {
                $this->data['units'][$i] = $change($one);
            }
        }
    }

    /** @param  array<string, mixed>|string|bool|float  $set */
    private function set(string $unit, string $kind, string $key, array|string|bool|float $set): void
    {
        if ($set !== []) {
            $this->change($unit, function (array $one) use ($kind, $key, $set) {
                $one['settings'][$kind][$key] = is_array($set) ? $set + ($one['settings'][$kind][$key] ?? []) : $set;

                return $one;
            });
        }
    }

    /** @return array<string, mixed> */
    private function unit(string $name): array
    {
        return array_column($this->data['units'], null, 'id')[$this->units[$name]];
    }

    private function point(string $unit, string $label): string
    {
        foreach ($this->models[$this->unit($unit)['model']]['points'] as $point) {
            if ($label === ($point['label'] ?? $point['id']) || $label === $this->label($unit, $point['id'])) {
                return $point['id'];
            }
        }
        throw new \RuntimeException("{$unit} has no point called {$label}.");
    }

    /** A point as the book calls it: a name of somebody's own has what the unit calls it behind it. */
    private function label(string $unit, string $point): string
    {
        $labels = array_map(
            fn (array $one) => $one['label'] ?? $one['id'],
            array_column($this->models[$this->unit($unit)['model']]['points'], null, 'id'),
        );
        $name = $this->unit($unit)['names'][$point] ?? null;

        return $name === null || $name === $labels[$point] ? $labels[$point] : "{$name} ({$labels[$point]})";
    }

    /** "Mic 1 → Main" */
    private function route(string $unit, string $words): string
    {
        [$from, $to] = explode(' → ', $words);

        return "{$this->point($unit, $from)}>{$this->point($unit, $to)}";
    }

    private function socket(string $unit, string $label): string
    {
        $sockets = $this->models[$this->unit($unit)['model']]['sockets'];

        return "{$this->units[$unit]}/".array_column($sockets, 'id', 'label')[$label];
    }

    /** A point by "Unit · Point", or by the unit's name alone where the point is called like it. */
    private function ref(string $name): string
    {
        foreach ($this->units as $unit => $id) {
            if (str_starts_with($name, "{$unit} · ")) {
                return "{$id}/{$this->point((string) $unit, substr($name, strlen("{$unit} · ")))}";
            }
        }

        return "{$this->units[$name]}/{$this->point($name, $name)}";
    }

    /** @return list<string> */
    private static function parts(string $between, string $words): array
    {
        return $words === '' ? [] : explode($between, $words);
    }

    private static function number(string $words): float
    {
        return (float) preg_replace(['/−/u', '/[^\d.-].*$/'], ['-', ''], $words);
    }
}
