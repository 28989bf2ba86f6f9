<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** The kind of equipment, for searching the catalogue. */
enum Family: string
{
    case Microphone = 'microphone';
    case Headset = 'headset';
    case Headphones = 'headphones';
    case Loudspeaker = 'loudspeaker';
    case Mixer = 'mixer';
    case Interface = 'interface';
    case Converter = 'converter';
    case HeadsetAmplifier = 'headset-amplifier';
    case CaptureCard = 'capture-card';
    case Computer = 'computer';
    case Console = 'console';
    case Tablet = 'tablet';
    case Hub = 'hub';
    case Isolator = 'isolator';
    case Splitter = 'splitter';
    case Booster = 'booster';
    case Adapter = 'adapter';
    case Monitor = 'monitor';
    case Webcam = 'webcam';
    case Recorder = 'recorder';
    case Instrument = 'instrument';
    /** What takes a USB socket and sounds nothing */
    case Accessory = 'accessory';
    case Remote = 'remote';
    case Player = 'player';
    case Call = 'call';
    case CallService = 'call-service';
    case Broadcast = 'broadcast';
    case SoftwareMixer = 'software-mixer';
    case VirtualCable = 'virtual-cable';
    case Repeater = 'repeater';
    case Utility = 'utility';

    /** For a list or a sentence. */
    public function words(): string
    {
        return str_replace('-', ' ', $this->value);
    }

    /** Programs run on a computer and have no case. */
    public function isProgram(): bool
    {
        return match ($this) {
            self::Player, self::Call, self::Broadcast, self::SoftwareMixer, self::VirtualCable, self::Repeater, self::Recorder,
            self::Utility => true,
            default => false,
        };
    }

    /** What has an operating system that lists audio devices. */
    public function isHost(): bool
    {
        return $this === self::Computer || $this === self::Tablet;
    }

    /** Equipment at someone else's end of a network. */
    public function isRemote(): bool
    {
        return $this === self::CallService || $this === self::Remote;
    }

    /** Whose microphone sockets have one conductor, for one microphone, which its recording device gives on every channel. */
    public function takesOneMicrophone(): bool
    {
        return $this->isHost() || $this === self::Console || $this === self::Adapter;
    }

    /** What has a capsule that hears the room. */
    public function hasMicrophone(): bool
    {
        return $this === self::Microphone || $this === self::Headset || $this === self::Webcam;
    }

    /** What only hands a sound on: of no use with one side free. */
    public function handsOn(): bool
    {
        return in_array(
            $this,
            [self::Isolator, self::Splitter, self::Booster, self::Adapter, self::Converter, self::HeadsetAmplifier],
            true,
        );
    }

    /** Where a sound begins or ends: of no use unplugged. */
    public function isEndOfLine(): bool
    {
        return in_array($this, [self::Microphone, self::Headset, self::Headphones, self::Loudspeaker], true);
    }
}
