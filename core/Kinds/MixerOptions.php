<?php

declare(strict_types=1);

namespace HiddenWire\Core\Kinds;

use HiddenWire\Core\Equipment\EffectKind;

/** What a USB mixer has: sockets and devices by number, and how its mixes, faders, mutes and outputs behave. All of it combines freely. */
final readonly class MixerOptions
{
    /** How many it can have of each, the least and the most. */
    public const COUNTS = [
        'mics' => [0, 16], 'lines' => [0, 8], 'optical' => [0, 4], 'radio' => [0, 1], 'pads' => [0, 24],
        'firstPlays' => [0, 8], 'firstRecords' => [0, 8], 'secondPlays' => [0, 8], 'secondRecords' => [0, 8],
        'sends' => [0, 6], 'phones' => [0, 6], 'speakers' => [0, 1],
    ];

    /**
     * @param  int  $mics  microphone sockets
     * @param  bool  $isCombined  whether they take 6.35 mm plugs too, for lines and instruments
     * @param  int  $lines  stereo line inputs
     * @param  bool  $isPaired  whether a line has two 6.35 mm sockets, not one of 3.5 mm
     * @param  int  $optical  optical inputs
     * @param  int  $radio  inputs by Bluetooth
     * @param  int  $pads  pads that play sounds kept in the mixer, all on one strip
     * @param  int  $firstPlays  playback devices of the first computer
     * @param  int  $firstRecords  its recording devices
     * @param  int  $secondPlays  playback devices of the second computer
     * @param  int  $secondRecords  its recording devices
     * @param  bool  $hasCall  whether the first computer has a device each way for a call, which never hears itself
     * @param  int  $sends  line outputs with a mix of their own
     * @param  int  $phones  headphone outputs
     * @param  int  $speakers  pairs of loudspeaker outputs
     * @param  bool  $hasLevels  whether each mix sets a level for each sound, not only on or off
     * @param  int|null  $faders  how many of the sounds have a fader on the mixer, in order; null for all
     * @param  list<EffectKind>  $tools  what a microphone's strip can do
     * @param  bool  $mutesPhones  whether a mute silences the headphones too
     * @param  bool  $mutesSpeakers  whether the loudspeakers are silent while a microphone is open
     */
    public function __construct(
        public int $mics = 2,
        public bool $isCombined = true,
        public int $lines = 1,
        public bool $isPaired = false,
        public int $optical = 0,
        public int $radio = 0,
        public int $pads = 0,
        public int $firstPlays = 1,
        public int $firstRecords = 1,
        public int $secondPlays = 0,
        public int $secondRecords = 0,
        public bool $hasCall = false,
        public int $sends = 0,
        public int $phones = 1,
        public int $speakers = 0,
        public bool $hasLevels = true,
        public ?int $faders = null,
        public array $tools = [],
        public Card $card = Card::None,
        public bool $mutesPhones = true,
        public bool $mutesSpeakers = true,
        public Listening $listening = Listening::None,
    ) {
    }

    /** @return array<string, string> what is wrong, by option; empty where it can be made */
    public function problems(): array
    {
        $problems = [];
        foreach (self::COUNTS as $option => [$least, $most]) {
            if ($least > $this->$option || $most < $this->$option) {
                $problems[$option] = "This is a number from {$least} to {$most}.";
            }
        }
        if ($this->sounds() === 0) {
            $problems['mics'] ??= 'Nothing comes in yet: give it a microphone, a line, pads or a playback device.';
        }
        if ($this->mixes() === 0) {
            $problems['phones'] ??= 'Nothing goes out yet: give it headphones, loudspeakers, a send or a recording device.';
        }
        if ($this->hasCall && $this->sounds() === 1) {
            $problems['hasCall'] = 'A call alone has nobody to hear: give the mixer another input.';
        }
        if ($this->faders !== null && ($this->faders < 0 || $this->faders > $this->sounds())) {
            $problems['faders'] = "It has {$this->sounds()} sounds: this is a number from 0 to {$this->sounds()}, or empty for all.";
        }
        if ($this->listening !== Listening::None && $this->phones === 0) {
            $problems['listening'] = 'Somebody listens to a single sound in headphones: give it a headphone output.';
        }

        return $problems;
    }

    /** How many sounds have a strip of their own; all pads are one. */
    public function sounds(): int
    {
        return $this->mics + $this->lines + $this->optical + $this->radio + ($this->pads > 0 ? 1 : 0) + $this->firstPlays
            + $this->secondPlays + ($this->hasCall ? 1 : 0);
    }

    /** How many outputs have a mix of their own. */
    public function mixes(): int
    {
        return $this->firstRecords + $this->secondRecords + ($this->hasCall ? 1 : 0) + $this->sends + $this->phones + $this->speakers
            + ($this->card === Card::None ? 0 : 1);
    }
}
