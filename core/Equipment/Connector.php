<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/**
 * The connector of a socket. Conductors are the signal conductors that its contacts offer (without the shield); they decide
 * what a plug in it can carry.
 */
enum Connector: string
{
    case XlrF = 'xlr-f';
    case XlrM = 'xlr-m';
    case ComboF = 'combo-f';
    case Ts635 = 'ts-6.35';
    case Trs635 = 'trs-6.35';
    case Ts35 = 'ts-3.5';
    case Trs35 = 'trs-3.5';
    case Trrs35 = 'trrs-3.5';
    case Rca = 'rca';
    case RcaPair = 'rca-pair';
    case Binding = 'binding-post';
    case Optical = 'optical';
    case Coaxial = 'coaxial';
    case UsbA = 'usb-a';
    case UsbB = 'usb-b';
    case UsbC = 'usb-c';
    case MicroUsb = 'micro-usb';
    case Hdmi = 'hdmi';
    case DisplayPort = 'displayport';
    case Midi = 'midi-5';
    case Rj45 = 'rj45';
    case Bluetooth = 'bluetooth';
    case Card = 'card-slot';
    /** A session over a network between two programs: no plug that a person could hold. */
    case Session = 'session';

    public function conductors(): int
    {
        return match ($this) {
            self::Ts635, self::Ts35, self::Rca => 1,
            self::XlrF, self::XlrM, self::ComboF, self::Trs635, self::Trs35, self::RcaPair, self::Binding => 2,
            self::Trrs35 => 3,
            default => 32,
        };
    }

    /** What the signal kind is where a socket does not say. */
    public function usualSignal(): SignalKind
    {
        return match ($this) {
            self::XlrF, self::XlrM, self::ComboF => SignalKind::Microphone,
            self::Ts635, self::Trs635 => SignalKind::ProfessionalLine,
            self::Ts35, self::Trs35, self::Rca, self::RcaPair => SignalKind::ConsumerLine,
            self::Trrs35 => SignalKind::Headphone,
            self::Binding => SignalKind::Loudspeaker,
            self::Optical => SignalKind::OpticalDigital,
            self::Coaxial => SignalKind::CoaxialDigital,
            self::UsbA, self::UsbB, self::UsbC, self::MicroUsb => SignalKind::UsbAudio,
            self::Hdmi, self::DisplayPort => SignalKind::VideoAudio,
            self::Midi => SignalKind::Midi,
            self::Rj45, self::Session => SignalKind::Network,
            self::Bluetooth => SignalKind::BluetoothAudio,
            self::Card => SignalKind::Card,
        };
    }

    /** A short name for a label or a list. */
    public function words(): string
    {
        return match ($this) {
            self::XlrF => 'XLR, female', self::XlrM => 'XLR, male', self::ComboF => 'XLR and 6.35 mm',
            self::Ts635 => '6.35 mm TS', self::Trs635 => '6.35 mm TRS', self::Ts35 => '3.5 mm TS',
            self::Trs35 => '3.5 mm TRS', self::Trrs35 => '3.5 mm TRRS', self::Rca => 'RCA', self::RcaPair => 'RCA, left and right',
            self::Binding => 'binding posts', self::Optical => 'optical', self::Coaxial => 'coaxial', self::UsbA => 'USB-A',
            self::UsbB => 'USB-B', self::UsbC => 'USB-C', self::MicroUsb => 'micro-USB', self::Hdmi => 'HDMI',
            self::DisplayPort => 'DisplayPort', self::Midi => '5-pin MIDI', self::Rj45 => 'RJ45', self::Bluetooth => 'Bluetooth',
            self::Card => 'card slot', self::Session => 'network session',
        };
    }

    /** A radio and a session have no plug: several partners can be at one. */
    public function takesSeveral(): bool
    {
        return in_array($this, [self::Bluetooth, self::Session], true);
    }

    /** Whether it carries pictures, with sound beside them. */
    public function isPicture(): bool
    {
        return $this === self::Hdmi || $this === self::DisplayPort;
    }
}
