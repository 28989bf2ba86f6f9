<?php

declare(strict_types=1);

namespace HiddenWire\Core\Book;

use HiddenWire\Core\Equipment\CableType;
use HiddenWire\Core\Equipment\Connector;
use HiddenWire\Core\Rig\Cable;
use HiddenWire\Core\Rig\Rig;

/** A lead as a shop has it: its type and the plugs at its ends, which follow from the sockets that it joins. */
final readonly class Plugs
{
    public function __construct(private Rig $rig)
    {
    }

    /** "TRS, 3.5 mm", "TRS, 3.5 mm to 6.35 mm", "USB, A to C"; the type alone where it says both ends. */
    public function of(Cable $cable): string
    {
        $type = $cable->type->words();
        $ends = [];
        foreach ([$cable->from, $cable->to] as $at) {
            $ends[] = self::plug($cable->type, $this->rig->socket($at)->connector);
        }
        // Whichever end comes first, it is the same lead.
        sort($ends);
        $said = array_values(array_unique($ends));

        return match (true) {
            $said === [$type] || in_array('', $said, true) => $type,
            count($said) === 1 => "{$type}, {$said[0]}",
            default => "{$type}, {$said[0]} to {$said[1]}",
        };
    }

    private static function plug(CableType $type, Connector $socket): string
    {
        return match ($socket) {
            Connector::XlrF, Connector::XlrM => 'XLR',
            Connector::ComboF => $type === CableType::Xlr ? 'XLR' : '6.35 mm',
            Connector::Ts635, Connector::Trs635 => '6.35 mm',
            Connector::Ts35, Connector::Trs35, Connector::Trrs35 => '3.5 mm',
            Connector::Rca, Connector::RcaPair, Connector::Coaxial => in_array(
                $type,
                [CableType::Rca, CableType::RcaPair, CableType::Coaxial],
                true,
            ) ? $type->words() : 'RCA',
            Connector::Binding => 'bare ends',
            Connector::UsbA => 'A', Connector::UsbB => 'B', Connector::UsbC => 'C', Connector::MicroUsb => 'micro',
            Connector::Hdmi => 'HDMI', Connector::DisplayPort => 'DisplayPort',
            default => '',
        };
    }
}
