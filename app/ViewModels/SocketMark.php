<?php

declare(strict_types=1);

namespace App\ViewModels;

use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Equipment\EquipmentModel;
use HiddenWire\Core\Equipment\Lane;
use HiddenWire\Core\Equipment\LinkRole;
use HiddenWire\Core\Equipment\Realm;
use HiddenWire\Core\Equipment\Socket;
use HiddenWire\Core\Equipment\Way;

/** A socket as a small drawing: its shape by connector, its colour by realm, full where a cable is in it, in outline where it is free. */
final readonly class SocketMark
{
    /** Shapes that are drawn, with what they stand for. */
    public const SHAPES = [
        'xlr' => 'XLR', 'combo' => 'XLR and 6.35 mm', 'jack' => '6.35 mm', 'mini' => '3.5 mm', 'rca' => 'RCA', 'rca-pair' => 'RCA pair',
        'post' => 'binding post', 'coax' => 'coaxial', 'optical' => 'optical', 'hdmi' => 'HDMI', 'dp' => 'DisplayPort', 'usb-a' => 'USB-A',
        'usb-b' => 'USB-B', 'usb-c' => 'USB-C', 'micro' => 'micro USB', 'midi' => 'MIDI', 'net' => 'network', 'radio' => 'Bluetooth',
        'card' => 'card slot', 'call' => 'call',
    ];

    /** One of {@see SHAPES}. */
    public string $shape;

    public Realm $realm;

    public bool $isIn;

    /** @param  list<string>  $cables  labels of the cables in it; null where nobody asks */
    public function __construct(public Socket $socket, public ?array $cables = null)
    {
        $this->shape = self::shapeOf($socket->connector);
        $this->realm = match ($socket->connector) {
            Connector::Rj45, Connector::Session => Realm::Network,
            Connector::Bluetooth => Realm::Air,
            default => $socket->connector->conductors() <= 3 ? Realm::Analog : Realm::Digital,
        };
        $ways = array_unique(array_map(fn (Lane $lane) => $lane->way, array_values($socket->lanes)), SORT_REGULAR);
        $this->isIn = $ways === [Way::In] && $socket->link !== LinkRole::Device;
    }

    public function isFree(): bool
    {
        return $this->cables === [];
    }

    /** "Mic 1, XLR: W-02" */
    public function says(): string
    {
        $words = "{$this->socket->label}, {$this->socket->connector->words()}";

        return match ($this->cables) {
            null => $words,
            [] => "{$words}: free",
            default => "{$words}: ".implode(', ', $this->cables),
        };
    }

    /** @return list<self> of a model that is in no rig */
    public static function of(EquipmentModel $model): array
    {
        return array_values(array_map(fn (Socket $socket) => new self($socket), $model->sockets));
    }

    private static function shapeOf(Connector $connector): string
    {
        return match ($connector) {
            Connector::XlrF, Connector::XlrM => 'xlr',
            Connector::ComboF => 'combo',
            Connector::Ts635, Connector::Trs635 => 'jack',
            Connector::Ts35, Connector::Trs35, Connector::Trrs35 => 'mini',
            Connector::Rca => 'rca',
            Connector::RcaPair => 'rca-pair',
            Connector::Binding => 'post',
            Connector::Optical => 'optical',
            Connector::Coaxial => 'coax',
            Connector::UsbA => 'usb-a',
            Connector::UsbB => 'usb-b',
            Connector::UsbC => 'usb-c',
            Connector::MicroUsb => 'micro',
            Connector::Hdmi => 'hdmi',
            Connector::DisplayPort => 'dp',
            Connector::Midi => 'midi',
            Connector::Rj45 => 'net',
            Connector::Bluetooth => 'radio',
            Connector::Card => 'card',
            Connector::Session => 'call',
        };
    }
}
