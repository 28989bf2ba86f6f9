<?php

declare(strict_types=1);

namespace HiddenWire\Core\Equipment;

/**
 * What can be plugged into what, and by which cable: by connectors, by the media of the lanes, and by what a socket is on a computer's
 * bus.
 */
final class Mating
{
    /** The cable for two sockets; null where none fits both ends, or nothing could flow. */
    public static function cable(Socket $a, Socket $b): ?CableType
    {
        return self::canFlow($a, $b) && self::plugsGoIn($a, $b) ? self::type($a->connector, $b->connector) : null;
    }

    /** Why two sockets don't take one cable, in words; null where they do. */
    public static function obstacle(Socket $a, Socket $b): ?string
    {
        return match (true) {
            self::type(
                $a->connector,
                $b->connector,
            ) === null => "no cable has {$a->connector->words()} at one end and {$b->connector->words()} at the other",
            $a->captive && $b->captive => 'both are plugs: a coupler goes between them',
            ! self::canFlow($a, $b) => $a->link !== null || $b->link !== null
                ? 'a computer\'s socket takes a device or a hub'
                : 'nothing would flow: both give, both take, or they carry different signals',
            ! self::plugsGoIn($a, $b) => ($a->captive ? "a plug {$a->connector->words()} does not go into {$b->connector->words()}"
                : "a plug {$b->connector->words()} does not go into {$a->connector->words()}").': an adapter goes between',
            default => null,
        };
    }

    /** Whether a plug on a lead of its own goes into the socket at the other end; of other sockets, whether there is a lead is asked. */
    private static function plugsGoIn(Socket $a, Socket $b): bool
    {
        return match (true) {
            $a->captive => self::goesInto($a->connector, $b->connector),
            $b->captive => self::goesInto($b->connector, $a->connector),
            default => true,
        };
    }

    private static function goesInto(Connector $plug, Connector $socket): bool
    {
        foreach ([
            [Connector::Ts635, Connector::Trs635, Connector::ComboF],
            [Connector::Ts35, Connector::Trs35, Connector::Trrs35],
            [Connector::XlrM, Connector::XlrF],
            [Connector::XlrM, Connector::ComboF],
            [Connector::Rca, Connector::RcaPair, Connector::Coaxial],
        ] as $alike) {
            if (in_array($plug, $alike, true) && in_array($socket, $alike, true) && ($plug !== $socket || ! self::hasSex($plug))) {
                return true;
            }
        }

        return $plug === $socket && ! self::hasSex($plug);
    }

    private static function hasSex(Connector $connector): bool
    {
        return $connector === Connector::XlrM || $connector === Connector::XlrF;
    }

    private static function canFlow(Socket $a, Socket $b): bool
    {
        if ($a->captive && $b->captive) {
            return false;
        }
        if ($a->link !== null || $b->link !== null) {
            $towardsComputer = [LinkRole::Device, LinkRole::Upstream];
            $awayFromIt = [LinkRole::Host, LinkRole::Downstream];

            return (in_array($a->link, $towardsComputer, true) && in_array($b->link, $awayFromIt, true))
                || (in_array($b->link, $towardsComputer, true) && in_array($a->link, $awayFromIt, true));
        }
        foreach ([[$a, $b], [$b, $a]] as [$gives, $takes]) {
            foreach ($gives->lanesGoing(Way::Out) as $out) {
                foreach ($takes->lanesGoing(Way::In) as $in) {
                    if ($out->signal->medium() === $in->signal->medium()) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private static function type(Connector $a, Connector $b): ?CableType
    {
        foreach (self::families() as [$type, $connectors]) {
            if (in_array($a, $connectors, true) && in_array($b, $connectors, true)) {
                return $type;
            }
        }
        $jacks = [Connector::Ts635, Connector::Trs635, Connector::Ts35, Connector::Trs35, Connector::Trrs35];
        // A combo socket takes a 6.35 mm plug as well as an XLR one.
        $takesJack = fn (Connector $one): bool => in_array($one, $jacks, true) || $one === Connector::ComboF;

        return $takesJack($a) && $takesJack($b) ? match (min($a->conductors(), $b->conductors())) {
            1 => CableType::Ts,
            2 => CableType::Trs,
            default => CableType::Trrs,
        } : null;
    }

    /** @return list<array{CableType, list<Connector>}> a new family of connectors is one line here */
    private static function families(): array
    {
        return [
            [CableType::Usb, [Connector::UsbA, Connector::UsbB, Connector::UsbC, Connector::MicroUsb]],
            [CableType::Hdmi, [Connector::Hdmi]],
            [CableType::DisplayPort, [Connector::DisplayPort]],
            [CableType::Optical, [Connector::Optical]],
            [CableType::Coaxial, [Connector::Coaxial]],
            [CableType::Midi, [Connector::Midi]],
            [CableType::Network, [Connector::Session]],
            [CableType::Network, [Connector::Rj45]],
            [CableType::Wireless, [Connector::Bluetooth]],
            [CableType::Xlr, [Connector::XlrF, Connector::XlrM, Connector::ComboF]],
            [CableType::RcaPair, [Connector::RcaPair]],
            [CableType::Rca, [Connector::Rca]],
            [CableType::Speaker, [Connector::Binding]],
        ];
    }
}
