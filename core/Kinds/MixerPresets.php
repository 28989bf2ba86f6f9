<?php

declare(strict_types=1);

namespace HiddenWire\Core\Kinds;

use HiddenWire\Core\Equipment\EffectKind;
use HiddenWire\Core\Equipment\EquipmentModel;

/** Mixers of the catalogue that are made of what they have, to begin from. */
final class MixerPresets
{
    /** @return array<string, array{name: string, summary: string, has: MixerOptions}> by id of the model */
    public static function all(): array
    {
        return [
            'counter-mixer' => [
                'name' => 'Mixer with pads, radio and a call',
                'summary' => 'Three microphones, two lines, Bluetooth, five pads and a call of its own that never hears itself. A sound is '
                    .'in a mix or not. Seven faders, the rest in its program. A mute leaves the headphones; a card records the mix.',
                'has' => new MixerOptions(
                    mics: 3,
                    lines: 2,
                    radio: 1,
                    pads: 5,
                    firstPlays: 2,
                    firstRecords: 1,
                    hasCall: true,
                    phones: 1,
                    hasLevels: false,
                    faders: 7,
                    tools: [EffectKind::Gate, EffectKind::Compressor],
                    card: Card::Mix,
                    mutesPhones: false,
                ),
            ],
            'two-desk-mixer' => [
                'name' => 'Mixer between two computers, optical',
                'summary' => 'Three XLR microphones and two optical inputs between two computers, each with devices of its own; every '
                    .'output has its own levels. The loudspeakers are silent while a microphone is open.',
                'has' => new MixerOptions(
                    mics: 3,
                    isCombined: false,
                    lines: 0,
                    optical: 2,
                    firstPlays: 2,
                    firstRecords: 2,
                    secondPlays: 1,
                    secondRecords: 1,
                    sends: 1,
                    phones: 1,
                    speakers: 1,
                    tools: [EffectKind::Gate, EffectKind::Equaliser, EffectKind::Limiter],
                    listening: Listening::Either,
                ),
            ],
            'round-table-mixer' => [
                'name' => 'Mixer for a round table',
                'summary' => 'Five XLR microphones, each on a card track and with headphones at its seat; a line on two large plugs. The '
                    .'computer records three mixes and plays nothing. A sound alone is heard before its fader.',
                'has' => new MixerOptions(
                    mics: 5,
                    isCombined: false,
                    lines: 1,
                    isPaired: true,
                    firstPlays: 0,
                    firstRecords: 3,
                    phones: 5,
                    speakers: 1,
                    card: Card::Each,
                    mutesSpeakers: false,
                    listening: Listening::Before,
                ),
            ],
        ];
    }

    public static function model(string $id): EquipmentModel
    {
        ['name' => $name, 'summary' => $summary, 'has' => $has] = self::all()[$id];

        return MixerKind::model($has, $id, $name, $summary);
    }
}
