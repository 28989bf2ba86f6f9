<?php

declare(strict_types=1);

namespace HiddenWire\Core\Kinds;

use HiddenWire\Core\Document\DocumentReader;
use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Growth;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;

/**
 * Makes a USB mixer of what it has, in the form that documents have: every sound goes to every mix, but no call to itself; what a computer
 * plays is in none of its recording devices, and no microphone in the loudspeakers, until somebody adds it.
 */
final class MixerKind
{
    private const FADER = ['from' => -90, 'to' => 10, 'db' => 0, 'scale' => ['marks' => [
        [0, -90], [2, -40], [4, -20], [6, -10], [8, -3], [10, 10],
    ]]];

    private const PREAMP = ['from' => 0, 'to' => 66, 'db' => 0, 'scale' => ['marks' => [[0, 0], [10, 66]]]];

    private const TRIM = ['from' => -20, 'to' => 20, 'db' => 0, 'scale' => ['marks' => [[0, -20], [10, 20]]]];

    private const OF_MIX = [
        ['name' => 'Signal', 'from_db' => -50], ['name' => 'Nominal', 'from_db' => -9], ['name' => 'Peak', 'from_db' => 3],
    ];

    private const OF_MIC = [['name' => 'Signal', 'from_db' => -40], ['name' => 'Peak', 'from_db' => 12]];

    /** Kinds of sounds that are left out of kinds of mixes until somebody adds them. */
    private const LEFT_OUT = [
        ['play-first', 'record-first'], ['play-first', 'to-call'], ['play-second', 'record-second'], ['mic', 'speakers'],
    ];

    /** @var array<string, list<array<string, mixed>>> lists of the model, in the form of a document */
    private array $lists = [
        'sockets' => [], 'points' => [], 'routes' => [], 'auto_mutes' => [], 'settings' => [], 'meters' => [], 'lamps' => [], 'grows' => [],
        'controls' => [],
    ];

    /** @var array<string, string> kinds of the sounds that have a strip, by id of the strip */
    private array $sounds = [];

    /** @var array<string, string> kinds of the outputs that have a mix, by id of the bus */
    private array $mixes = [];

    /** @var array<string, list<array<string, mixed>>> lanes of the sockets of the first and of the second computer */
    private array $lanes = [];

    /** @var array<string, string> labels of the points, by id */
    private array $labels = [];

    private function __construct(private readonly MixerOptions $has)
    {
    }

    /** @throws InvalidRig where it can't be made so, with the option as the pointer */
    public static function model(MixerOptions $has, string $id, string $name, string $summary = ''): EquipmentModel
    {
        $problems = $has->problems();
        if ($problems !== []) {
            throw new InvalidRig(array_map(fn (string $at, string $why) => new Problem("/{$at}", $why), array_keys($problems), $problems));
        }
        $kind = new self($has);
        $kind->inputs();
        $kind->plays();
        $kind->outputs();
        $kind->records();
        $kind->mixing();
        $kind->card();
        $kind->listening();
        $kind->growing();
        $data = ['name' => $name, 'family' => 'mixer', 'summary' => $summary, 'supply' => 'mains-unearthed',
            ...array_filter($kind->lists), 'made_at' => ['by' => 'unit'], 'holds' => 'for-good'];

        return (new DocumentReader)->model(json_decode((string) json_encode($data)), $id, ['models', $id]);
    }

    private function inputs(): void
    {
        foreach ($this->numbered('mic', $this->has->mics) as $number => $mic) {
            $this->microphone($mic, $number);
        }
        foreach ($this->numbered('line', $this->has->lines) as $number => $line) {
            $socket = fn (string $id, string $label, string $connector, array $lane) => ['id' => $id, 'label' => $label,
                'connector' => $connector, 'signal' => 'consumer-line', 'impedance_ohm' => 20000,
                'lanes' => [['id' => 'in', 'way' => 'in', 'point' => $line, ...$lane]]];
            array_push($this->lists['sockets'], ...$this->has->isPaired ? [
                $socket("line-left-{$number}", "Line {$number} left", 'trs-6.35', ['channels' => [1]]),
                $socket("line-right-{$number}", "Line {$number} right", 'trs-6.35', ['channels' => [2]]),
            ] : [$socket($line, "Line {$number}", 'trs-3.5', [])]);
            $this->strip($line, 'line', "Line {$number}", ['gain' => self::TRIM]);
        }
        foreach ($this->numbered('optical', $this->has->optical) as $number => $optical) {
            $this->socket($optical, "Optical in {$number}", 'optical', 'in');
            $this->strip($optical, 'optical', "Optical {$number}");
        }
        if ($this->has->radio > 0) {
            $this->socket('radio', 'Bluetooth', 'bluetooth', 'in');
            $this->strip('radio', 'radio', 'Bluetooth');
        }
        foreach ($this->numbered('pad', $this->has->pads) as $number => $pad) {
            $this->point($pad, 'origin', "Pad {$number}", 2);
            $this->lists['routes'][] = ['from' => $pad, 'to' => 'pads'];
        }
        if ($this->has->pads > 0) {
            $this->strip('pads', 'pads', 'Pads');
        }
    }

    private function microphone(string $mic, int $number): void
    {
        $this->lists['sockets'][] = [
            'id' => $mic, 'label' => "Mic {$number}", 'connector' => $this->has->isCombined ? 'combo-f' : 'xlr-f', 'balanced' => true,
            'phantom' => 'offers', 'max_dbu' => 10, 'impedance_ohm' => 3000, 'ein_dbu' => -126,
            'lanes' => [['id' => 'in', 'way' => 'in', 'point' => $mic]],
        ];
        $tools = array_map(fn (EffectKind $tool) => $tool->value, $this->has->tools);
        $this->strip($mic, 'mic', "Mic {$number}", ['gain' => self::PREAMP], 1, $tools === [] ? [] : [
            'effects' => ['most' => count($tools), 'kinds' => $tools],
        ]);
        $this->lists['settings'][] = ['id' => "phantom-{$number}", 'label' => "Phantom power, Mic {$number}", 'kind' => 'switch',
            'factory' => false, 'made_at' => ['by' => 'unit'], 'effects' => [['value' => true, 'socket' => $mic, 'phantom' => true]]];
        if ($this->has->isCombined) {
            $types = ['Microphone' => 'microphone', 'Line' => 'professional-line', 'Instrument' => 'instrument'];
            $this->lists['settings'][] = ['id' => "input-{$number}", 'label' => "Input type, Mic {$number}", 'kind' => 'choice',
                'choices' => array_keys($types), 'factory' => 'Microphone', 'made_at' => ['by' => 'unit'],
                'effects' => array_map(
                    fn (string $type, string $signal) => ['value' => $type, 'socket' => $mic, 'signal' => $signal],
                    array_keys($types),
                    $types,
                )];
        }
        $this->lists['meters'][] = ['id' => $mic, 'label' => "Mic {$number}", 'point' => $mic, 'tap' => 'pre-fader',
            'zones' => self::OF_MIC];
    }

    private function outputs(): void
    {
        foreach ($this->numbered('send', $this->has->sends) as $number => $send) {
            $this->socket($send, "Send {$number}", 'trs-3.5', 'out', ['nominal_dbu' => -7.8, 'max_dbu' => 8, 'impedance_ohm' => 100]);
            $this->mix($send, 'send', "Send {$number}");
        }
        foreach ($this->numbered('phones', $this->has->phones) as $number => $phones) {
            $amplifier = ['signal' => 'headphone', 'max_dbu' => 16, 'impedance_ohm' => 10];
            $this->socket($phones, "Phones {$number}", 'trs-6.35', 'out', $amplifier);
            $this->mix($phones, 'phones', "Phones {$number}");
        }
        if ($this->has->speakers > 0) {
            foreach (['left' => 1, 'right' => 2] as $side => $channel) {
                $this->lists['sockets'][] = ['id' => "speakers-{$side}", 'label' => "Loudspeakers {$side}", 'connector' => 'trs-6.35',
                    'balanced' => true, 'nominal_dbu' => 4, 'max_dbu' => 22, 'impedance_ohm' => 120,
                    'lanes' => [['id' => 'out', 'way' => 'out', 'point' => 'speakers', 'channels' => [$channel]]]];
            }
            $this->mix('speakers', 'speakers', 'Loudspeakers', ['mute' => false]);
            if ($this->has->mutesSpeakers && $this->has->mics > 0) {
                $mics = array_values($this->numbered('mic', $this->has->mics));
                $this->lists['auto_mutes'][] = ['mutes' => 'speakers', 'while_open' => $mics];
            }
        }
    }

    /** What the computers play: strips, and the lanes by which it comes. */
    private function plays(): void
    {
        foreach ($this->ofComputers($this->has->firstPlays, $this->has->secondPlays, 'play') as $id => [$which, $number]) {
            $this->strip($id, "play-{$which}", ($this->isTwo() ? ucfirst($which).' computer' : 'Computer')." {$number}");
            $this->lanes[$which][] = self::lane($id, 'in');
        }
        if ($this->has->hasCall) {
            $this->strip('call', 'call', 'Call');
            $this->lanes['first'][] = self::lane('call', 'in');
        }
    }

    /** What they record, and their sockets. */
    private function records(): void
    {
        foreach ($this->ofComputers($this->has->firstRecords, $this->has->secondRecords, 'record') as $id => [$which, $number]) {
            $this->mix($id, "record-{$which}", $this->isTwo() ? "To the {$which} {$number}" : "Feed {$number}");
            $this->lanes[$which][] = self::lane($id, 'out');
        }
        if ($this->has->hasCall) {
            $this->mix('to-call', 'to-call', 'To the call');
            $this->lanes['first'][] = self::lane('to-call', 'out');
        }
        ksort($this->lanes);
        foreach ($this->lanes as $which => $lanes) {
            [$id, $label] = $this->isTwo() ? ["usb-{$which}", ucfirst($which).' computer'] : ['usb', 'Computer'];
            $this->lists['sockets'][] = ['id' => $id, 'label' => $label, 'connector' => 'usb-c', 'link' => 'device', 'lanes' => $lanes];
        }
    }

    private function isTwo(): bool
    {
        return $this->has->secondPlays + $this->has->secondRecords > 0;
    }

    /** @return array<string, array{string, int}> ids of so many of each computer: "first" or "second", and the number */
    private function ofComputers(int $first, int $second, string $stem): array
    {
        $ids = [];
        foreach (['first' => $first, 'second' => $second] as $which => $count) {
            foreach ($this->numbered($this->isTwo() ? "{$which}-{$stem}" : $stem, $count) as $number => $id) {
                $ids[$id] = [$which, $number];
            }
        }

        return $ids;
    }

    /** @return array<string, mixed> of a computer's socket, with a device */
    private static function lane(string $id, string $way): array
    {
        return ['id' => $id, 'way' => $way, 'point' => $id, 'device' => ['direction' => $way === 'in' ? 'playback' : 'recording']];
    }

    private function mixing(): void
    {
        foreach ($this->sounds as $sound => $from) {
            foreach ($this->mixes as $mix => $to) {
                if ($from === 'call' && $to === 'to-call') {
                    continue;
                }
                $leaves = $to === 'phones' && ! $this->has->mutesPhones;
                $can = $leaves ? ['on', 'db'] : ['on', 'db', 'tap'];
                $this->lists['routes'][] = ['from' => $sound, 'to' => $mix]
                    + (in_array([$from, $to], self::LEFT_OUT, true) ? ['on' => false] : [])
                    + ($leaves ? ['tap' => 'before-mute'] : [])
                    + ['can' => $this->has->hasLevels ? $can : ['on']];
            }
        }
    }

    private function card(): void
    {
        $tracks = match ($this->has->card) {
            Card::None => [],
            Card::Mix => ['track' => array_keys($this->sounds)],
            Card::Each => array_combine(
                array_map(fn (string $sound) => "track-{$sound}", array_keys($this->sounds)),
                array_map(fn (string $sound) => [$sound], array_keys($this->sounds)),
            ),
        };
        if ($tracks === []) {
            return;
        }
        $this->socket('card', 'Card', 'card-slot', 'out');
        $this->point('card', 'out', 'Card', 2 * count($tracks));
        foreach ($tracks as $track => $sounds) {
            $isOne = $this->has->card === Card::Each;
            $this->point($track, 'ear', $isOne ? "Card track, {$this->labels[$sounds[0]]}" : 'Card track', 2);
            foreach ($sounds as $sound) {
                $this->lists['routes'][] = ['from' => $sound, 'to' => $track]
                    + ($isOne ? ['tap' => 'pre-fader', 'can' => ['tap']] : ['can' => $this->has->hasLevels ? ['on', 'db', 'tap'] : ['on']]);
            }
        }
    }

    private function listening(): void
    {
        $listening = $this->has->listening;
        if ($listening === Listening::None) {
            return;
        }
        foreach ($this->lists['points'] as $i => $point) {
            if (isset($this->sounds[$point['id']])) {
                $this->lists['points'][$i] += ['solo' => 'phones-1', 'solo_tap' => $listening->tap()->value];
            }
        }
        if ($listening === Listening::Either) {
            $this->lists['settings'][] = ['id' => 'listening', 'label' => 'A sound alone is heard', 'kind' => 'choice',
                'choices' => ['Before the fader', 'After the fader'], 'factory' => 'Before the fader', 'made_at' => ['by' => 'unit'],
                'effects' => [
                    ['value' => 'Before the fader', 'solo_tap' => 'pre-fader'], ['value' => 'After the fader', 'solo_tap' => 'post-fader'],
                ]];
        }
    }

    /** What it can have more or fewer of afterwards; a sort that it has none of can't be added to. */
    private function growing(): void
    {
        $isEach = $this->has->card === Card::Each;
        [$first, $play, $record] = $this->isTwo() ? ['first-computer ', 'first-play', 'first-record'] : ['', 'play', 'record'];
        $sorts = [
            ['mics', 'microphone', $this->has->mics, ['mic', 'phantom', ...$this->has->isCombined ? ['input'] : []], 'mic'],
            ['lines', 'stereo line', $this->has->lines, ['line', ...$this->has->isPaired ? ['line-left', 'line-right'] : []], 'line'],
            ['optical', 'optical input', $this->has->optical, ['optical'], 'optical'],
            ['pads', 'pad', $this->has->pads, ['pad'], null],
            ['firstPlays', "{$first}playback device", $this->has->firstPlays, [$play], $play],
            ['firstRecords', "{$first}recording device", $this->has->firstRecords, [$record], null],
            ['secondPlays', 'second-computer playback device', $this->has->secondPlays, ['second-play'], 'second-play'],
            ['secondRecords', 'second-computer recording device', $this->has->secondRecords, ['second-record'], null],
            ['sends', 'send', $this->has->sends, ['send'], null],
            ['phones', 'headphone output', $this->has->phones, ['phones'], null],
        ];
        foreach ($sorts as [$option, $label, $count, $parts, $sound]) {
            if ($count > 0 && count($this->lists['grows']) < Growth::MOST_OF_MODEL) {
                $this->lists['grows'][] = ['id' => strtolower((string) preg_replace('/(?=[A-Z])/', '-', $option)), 'label' => $label,
                    'least' => 1, 'most' => MixerOptions::COUNTS[$option][1],
                    'parts' => [...$parts, ...$isEach && $sound !== null ? ["track-{$sound}"] : []]];
            }
        }
    }

    /** @param  array<string, mixed>  $more */
    private function socket(string $id, string $label, string $connector, string $way, array $more = []): void
    {
        $this->lists['sockets'][] = ['id' => $id, 'label' => $label, 'connector' => $connector, ...$more,
            'lanes' => [['id' => $way, 'way' => $way, 'point' => $id]]];
    }

    /** @param  array<string, mixed>  $more */
    private function point(string $id, string $kind, string $label, int $channels, array $more = []): void
    {
        $this->labels[$id] = $label;
        $this->lists['points'][] = ['id' => $id, 'kind' => $kind, 'label' => $label, 'channels' => $channels, ...$more];
    }

    /**
     * A strip for a sound. Those that have no fader on the mixer have theirs in its program.
     *
     * @param  array<string, mixed>  $before  what it has before its fader
     * @param  array<string, mixed>  $after  and besides
     */
    private function strip(string $id, string $kind, string $label, array $before = [], int $channels = 2, array $after = []): void
    {
        $isOnMixer = count($this->sounds) < ($this->has->faders ?? PHP_INT_MAX);
        $this->sounds[$id] = $kind;
        $this->point($id, 'strip', $label, $channels, [...$before, 'fader' => self::FADER, 'mute' => false,
            ...$isOnMixer ? [] : ['made_at' => ['by' => 'companion', 'path' => 'Levels']], ...$after]);
        $this->lists['lamps'][] = ['id' => "mute-{$id}", 'label' => "Mute, {$label}", 'point' => $id];
        if (isset($before['gain'])) {
            $this->control('gain', $id, 'knob', "{$label} gain", 'gain', $before['gain'], 'even');
        }
        if ($isOnMixer) {
            $this->control('fader', $id, 'fader', "{$label} fader", 'fader', self::FADER, 'taper');
            $this->muteKey($id);
        }
    }

    private function muteKey(string $point): void
    {
        $name = "{$this->labels[$point]} mute";
        $this->lists['controls'][] = ['id' => "mute-{$point}", 'name' => $name, 'legend' => 'Mute', 'kind' => 'key',
            'moves' => [['at' => $point, 'set' => 'mute', 'from' => false, 'to' => true, 'law' => 'toggle', 'by' => 'press']]];
    }

    /**
     * Something that turns or slides, along all of the way that its point can be set to.
     *
     * @param  array{from: int, to: int}&array<string, mixed>  $span
     */
    private function control(string $stem, string $point, string $kind, string $name, string $set, array $span, string $law): void
    {
        $this->lists['controls'][] = ['id' => "{$stem}-{$point}", 'name' => $name, 'legend' => $this->labels[$point], 'kind' => $kind,
            'moves' => [['at' => $point, 'set' => $set, 'from' => $span['from'], 'to' => $span['to'],
                ...$law === 'even' ? [] : ['law' => $law]]]];
    }

    /** @param  array<string, mixed>  $more */
    private function mix(string $id, string $kind, string $label, array $more = []): void
    {
        $this->mixes[$id] = $kind;
        $this->point($id, 'bus', $label, 2, ['fader' => self::FADER, ...$more]);
        $this->lists['meters'][] = ['id' => $id, 'label' => $label, 'point' => $id, 'zones' => self::OF_MIX];
        $this->control('level', $id, 'knob', "{$label} level", 'fader', self::FADER, 'taper');
        if (isset($more['mute'])) {
            $this->muteKey($id);
        }
    }

    /** @return array<int, string> ids of so many, by number from 1 */
    private function numbered(string $stem, int $count): array
    {
        return array_map(fn (int $number) => "{$stem}-{$number}", $count === 0 ? [] : array_combine(range(1, $count), range(1, $count)));
    }
}
