<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** What kind of signal a socket's lane carries. */
enum SignalKind: string
{
    case Microphone = 'microphone';
    case Instrument = 'instrument';
    case ConsumerLine = 'consumer-line';
    case ProfessionalLine = 'professional-line';
    case Headphone = 'headphone';
    case Loudspeaker = 'loudspeaker';
    case OpticalDigital = 'optical-digital';
    case CoaxialDigital = 'coaxial-digital';
    case UsbAudio = 'usb-audio';
    case VideoAudio = 'video-audio';
    case BluetoothAudio = 'bluetooth-audio';
    case Midi = 'midi';
    case Network = 'network';
    case Card = 'card';

    /** Signals of one medium can flow into each other, even where the levels are wrong. */
    public function medium(): string
    {
        return match ($this) {
            self::Microphone, self::Instrument, self::ConsumerLine, self::ProfessionalLine, self::Headphone, self::Loudspeaker => 'analog',
            default => $this->value,
        };
    }

    /** Whether a socket of the one kind is meant for the other: headphones for a headphone output, a microphone for a preamplifier. */
    public function suits(self $other): bool
    {
        $lines = [self::ConsumerLine, self::ProfessionalLine];

        return $this === $other || (in_array($this, $lines, true) && in_array($other, $lines, true));
    }

    public function isAnalog(): bool
    {
        return $this->medium() === 'analog';
    }
}
