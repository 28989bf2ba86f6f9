<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/** The kind of a cable, which decides what it can carry. The ends follow from the sockets that it joins. */
enum CableType: string
{
    case Xlr = 'xlr';
    case Ts = 'ts';
    case Trs = 'trs';
    case Trrs = 'trrs';
    case Rca = 'rca';
    case RcaPair = 'rca-pair';
    case Speaker = 'speaker';
    case Optical = 'optical';
    case Coaxial = 'coaxial';
    case Usb = 'usb';
    case Hdmi = 'hdmi';
    case DisplayPort = 'displayport';
    case Midi = 'midi';
    case Network = 'network';
    case Wireless = 'wireless';
    /** The leads that a unit is born with: an earphone cord, a captive USB lead. Carries what its sockets carry. */
    case Captive = 'captive';

    /** Signal conductors without the shield; 32 where the carrier is digital. */
    public function conductors(): int
    {
        return match ($this) {
            self::Ts, self::Rca => 1,
            self::Xlr, self::Trs, self::RcaPair, self::Speaker => 2,
            self::Trrs => 3,
            default => 32,
        };
    }

    /**
     * The media (see {@see SignalKind::medium()}) that can flow in such a cable.
     *
     * @return list<string>
     */
    public function media(): array
    {
        return match ($this) {
            self::Xlr, self::Ts, self::Trs, self::Trrs, self::RcaPair, self::Speaker => ['analog'],
            self::Rca, self::Coaxial => ['analog', 'coaxial-digital'],
            self::Optical => ['optical-digital'],
            self::Usb => ['usb-audio'],
            self::Hdmi, self::DisplayPort => ['video-audio'],
            self::Midi => ['midi'],
            self::Network => ['network'],
            self::Wireless => ['bluetooth-audio'],
            self::Captive => ['analog', 'usb-audio', 'video-audio'],
        };
    }

    /** A short name for a sentence or a list. */
    public function words(): string
    {
        return match ($this) {
            self::Xlr => 'XLR',
            self::Ts => 'TS',
            self::Trs => 'TRS',
            self::Trrs => 'TRRS',
            self::Rca => 'RCA',
            self::RcaPair => 'stereo RCA',
            self::Speaker => 'loudspeaker',
            self::Optical => 'optical',
            self::Coaxial => 'coaxial',
            self::Usb => 'USB',
            self::Hdmi => 'HDMI',
            self::DisplayPort => 'DisplayPort',
            self::Midi => 'MIDI',
            self::Network => 'network', self::Wireless => 'wireless', self::Captive => 'captive',
        };
    }

    /** "a" or "an", to go before the name. */
    public function article(): string
    {
        return in_array($this, [self::Xlr, self::Rca, self::Optical, self::Hdmi], true) ? 'an' : 'a';
    }

    /**
     * Whether a plug of such a lead goes into a socket. Analog leads are made with any two analog ends, and a coaxial digital plug is an
     * RCA plug; digital leads end in their own family of plugs.
     */
    public function fits(Connector $socket): bool
    {
        $analog = [
            Connector::XlrF,
            Connector::XlrM,
            Connector::ComboF,
            Connector::Ts635,
            Connector::Trs635,
            Connector::Ts35,
            Connector::Trs35,
            Connector::Trrs35,
            Connector::Rca,
            Connector::RcaPair,
            Connector::Binding,
        ];

        return in_array($socket, match ($this) {
            self::Xlr, self::Ts, self::Trs, self::Trrs, self::Speaker => $analog,
            self::Rca, self::RcaPair, self::Coaxial => [...$analog, Connector::Coaxial],
            self::Optical => [Connector::Optical],
            self::Usb => [Connector::UsbA, Connector::UsbB, Connector::UsbC, Connector::MicroUsb],
            self::Hdmi, self::DisplayPort => [Connector::Hdmi, Connector::DisplayPort, Connector::UsbC],
            self::Midi => [Connector::Midi],
            self::Network => [Connector::Rj45, Connector::Session],
            self::Wireless => [Connector::Bluetooth],
            self::Captive => Connector::cases(),
        }, true);
    }
}
