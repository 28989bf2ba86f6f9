<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Kinds\Card;
use HiddenWire\Core\Kinds\Listening;
use HiddenWire\Core\Kinds\MixerKind;
use HiddenWire\Core\Kinds\MixerOptions;
use HiddenWire\Core\Kinds\MixerPresets;
use HiddenWire\Core\Quantity\Bounds;
use HiddenWire\Core\Quantity\Count;
use HiddenWire\Core\Rig\InvalidRig;
use HiddenWire\Core\Rig\Problem;

/** The form in which a person says what a mixer has, by its counts and choices. */
final readonly class MixerForm
{
    /** What is counted, by group: option and label. */
    public const COUNTS = [
        'What comes in' => [
            'mics' => 'Microphone sockets', 'lines' => 'Stereo line inputs', 'optical' => 'Optical inputs', 'radio' => 'Bluetooth inputs',
            'pads' => 'Sound pads',
        ],
        'What a computer sees' => [
            'firstPlays' => 'Playback devices', 'firstRecords' => 'Recording devices',
            'secondPlays' => 'Playback, second computer', 'secondRecords' => 'Recording, second computer',
        ],
        'What goes out' => ['phones' => 'Headphone outputs', 'speakers' => 'Pairs of loudspeaker outputs', 'sends' => 'Line outputs'],
    ];

    /** What is one or the other: option, label, and the words of off and on. */
    public const FLAGS = [
        'isCombined' => ['Microphone sockets take', 'XLR only', 'XLR and 6.35 mm'],
        'isPaired' => ['Line inputs are', 'one 3.5 mm socket', 'two 6.35 mm sockets'],
        'hasCall' => ['A call has devices of its own', 'no', 'yes, and never hears itself'],
        'hasLevels' => ['In each mix a sound has', 'a switch', 'a level'],
        'mutesPhones' => ['A mute silences', 'all but the headphones', 'everything'],
        'mutesSpeakers' => ['While a microphone is open the loudspeakers are', 'on', 'silent'],
    ];

    private const SKETCH = 'sketch';

    /** @var array<string, string> what is wrong, by option */
    public array $problems;

    public ?EquipmentModel $model;

    /**
     * @param  string  $name  empty while it has none
     * @param  string  $id  of the model that it makes
     */
    public function __construct(public string $name, public MixerOptions $has, string $id = self::SKETCH)
    {
        $problems = $this->has->problems() + ($name === '' && $id !== self::SKETCH ? ['name' => 'Give it a name.'] : []);
        $model = null;
        try {
            $model = $problems === [] ? MixerKind::model($has, $id, $name === '' ? 'Mixer' : $name, self::summary($has)) : null;
        } catch (InvalidRig $e) {
            $problems = ['name' => implode(' ', array_map(fn (Problem $one) => $one->message, $e->problems))];
        }
        [$this->problems, $this->model] = [$problems, $model];
    }

    /** The form as it begins: plain, or as one of the catalogue's. */
    public static function beginning(string $preset): self
    {
        return new self('', MixerPresets::all()[$preset]['has'] ?? new MixerOptions);
    }

    /** @param  array<array-key, mixed>  $sent  fields as they came */
    public static function sent(array $sent, string $id = self::SKETCH): self
    {
        $text = fn (string $key): string => is_string($sent[$key] ?? null) ? trim(mb_scrub($sent[$key])) : '';
        // What is no number is reported like one that is out of its bounds.
        $number = fn (string $key): int => preg_match('/^\d{1,4}$/', $text($key)) === 1 ? (int) $text($key) : ($text($key) === '' ? 0 : -1);
        $counts = array_map($number, array_combine($keys = array_keys(MixerOptions::COUNTS), $keys));
        $flags = array_map(fn (string $key): bool => $text($key) === '1', array_combine($keys = array_keys(self::FLAGS), $keys));

        return new self(mb_substr($text('name'), 0, Bounds::NAME), new MixerOptions(
            ...$counts,
            ...$flags,
            faders: $text('faders') === '' ? null : $number('faders'),
            tools: array_values(array_filter(EffectKind::cases(), fn (EffectKind $one) => $text("tool-{$one->value}") === '1')),
            card: Card::tryFrom($text('card')) ?? Card::None,
            listening: Listening::tryFrom($text('listening')) ?? Listening::None,
        ), $id);
    }

    public function look(): ?ModelLook
    {
        return $this->model === null ? null : new ModelLook($this->model);
    }

    public function count(string $option): int
    {
        return $this->has->$option;
    }

    public function isOn(string $option): bool
    {
        return $this->has->$option;
    }

    public static function most(string $option): int
    {
        return MixerOptions::COUNTS[$option][1];
    }

    /** @return array<string, string> names of the mixers to begin from, by id */
    public static function presets(): array
    {
        return array_map(fn (array $preset) => $preset['name'], MixerPresets::all());
    }

    /** What it has, in a sentence: "2 microphones, 1 stereo line and 3 mixes; a call that never hears itself." */
    private static function summary(MixerOptions $has): string
    {
        $said = array_filter([
            $has->mics > 0 ? Count::of($has->mics, 'microphone') : '',
            $has->lines > 0 ? Count::of($has->lines, 'stereo line') : '',
            $has->optical > 0 ? Count::of($has->optical, 'optical input') : '',
            $has->radio > 0 ? 'Bluetooth' : '',
            $has->pads > 0 ? Count::of($has->pads, 'pad') : '',
            $has->firstPlays + $has->secondPlays > 0 ? Count::of($has->firstPlays + $has->secondPlays, 'playback device') : '',
            Count::of($has->mixes(), 'mix', 'mixes'),
        ]);

        return ucfirst(implode(', ', $said)).($has->hasCall ? '; a call that never hears itself.' : '.');
    }
}
